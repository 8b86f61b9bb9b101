<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * How marks are corrected.
 */
enum CorrectionKind: string
{
    /** So many marks more or less for every script. */
    case Constant = 'constant';

    /** A constant and a factor, for every script. */
    case Line = 'line';

    /** How one marker marks, taken out of the marks that rest on them alone. */
    case Severity = 'severity';
}
