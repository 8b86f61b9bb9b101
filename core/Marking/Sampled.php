<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

/**
 * Whether a script is in the sample that is marked a second time.
 */
enum Sampled: string
{
    /** No sample has been drawn of it yet. */
    case Undecided = 'undecided';
    case In = 'in';

    /** A sample was drawn, and it is not in it: its first mark is its mark. */
    case Out = 'out';
}
