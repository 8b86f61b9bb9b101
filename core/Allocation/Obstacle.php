<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Allocation;

/**
 * Why a marker may not have a script.
 */
enum Obstacle: string
{
    case Conflict = 'has a conflict of interest';
    case Section = 'does not take its section';
    case NoShare = 'has a share of 0';
    case Marks = 'marks it already';
}
