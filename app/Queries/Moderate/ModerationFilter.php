<?php

declare(strict_types=1);

namespace App\Queries\Moderate;

/**
 * What of an assignment's scripts is listed where marks are settled.
 */
enum ModerationFilter: string
{
    case All = 'all';
    case ToSettle = 'to-settle';

    /** To settle, and the date by which they were to agree has passed. */
    case Overdue = 'overdue';
    case WithThird = 'with-third';

    /** With a second marker who has not finished, or waiting for one. */
    case SecondOpen = 'second-open';

    /** With one mark, until a sample is drawn. */
    case Undecided = 'undecided';
    case Agreed = 'agreed';
}
