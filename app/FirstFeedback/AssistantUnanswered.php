<?php

declare(strict_types=1);

namespace App\FirstFeedback;

use RuntimeException;

/**
 * The outside writing assistant gave no answer that can be shown.
 */
final class AssistantUnanswered extends RuntimeException
{
}
