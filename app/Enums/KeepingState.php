<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * Where a decision about what has fallen due is.
 */
enum KeepingState: string
{
    /** Goes in the night. */
    case Confirmed = 'confirmed';
    case TakenBack = 'taken-back';
    case Longer = 'longer';
    case Gone = 'gone';
}
