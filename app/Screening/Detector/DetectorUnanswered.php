<?php

declare(strict_types=1);

namespace App\Screening\Detector;

use RuntimeException;

/**
 * The outside detector gave no answer that can be used.
 */
final class DetectorUnanswered extends RuntimeException
{
}
