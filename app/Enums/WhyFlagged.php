<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * What an author finds wrong with a review.
 */
enum WhyFlagged: string
{
    case Unkind = 'unkind';
    case RevealsSomeone = 'reveals';
    case WrongWork = 'wrong-work';
    case Other = 'other';
}
