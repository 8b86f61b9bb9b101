<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * Where a rubric is in its life.
 */
enum RubricState: string
{
    case WorkingCopy = 'working-copy';
    case Ready = 'ready';
    case Retired = 'retired';
}
