<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * Why someone cannot review a work.
 */
enum WhyReturned: string
{
    case KnowIt = 'know-it';
    case Broken = 'broken';
    case Worries = 'worries';
    case Other = 'other';
}
