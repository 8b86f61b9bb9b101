<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Allocation;

/**
 * Why a marker may not have a script.
 */
enum MarkerObstacle: string
{
    case Conflict = 'conflict';
    case Section = 'section';
    case NoShare = 'no-share';
    case Marks = 'marks-it';
}
