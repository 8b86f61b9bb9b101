<?php

declare(strict_types=1);

namespace App\Screening\Web;

use RuntimeException;

/**
 * The open web gave no answer that can be used. The message says why, in words for a coordinator.
 */
final class WebUnanswered extends RuntimeException
{
}
