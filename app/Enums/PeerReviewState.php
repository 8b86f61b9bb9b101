<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * How far a review is.
 */
enum PeerReviewState: string
{
    case Given = 'given';
    case Begun = 'begun';
    case Done = 'done';
    case Returned = 'returned';
}
