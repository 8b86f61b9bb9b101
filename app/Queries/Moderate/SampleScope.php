<?php

declare(strict_types=1);

namespace App\Queries\Moderate;

/**
 * Which scripts a sample is drawn from.
 */
enum SampleScope: string
{
    /** Those with a finished first mark of which no sample has been drawn: the first sample, and what came in since. */
    case New = 'new';

    /** Those that earlier samples left out: more scripts, or all of a marker's. */
    case More = 'more';
}
