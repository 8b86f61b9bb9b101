<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * Which of a script's marks a mark is.
 */
enum Part: string
{
    case First = 'first';
    case Second = 'second';
}
