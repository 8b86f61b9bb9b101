<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

/**
 * How a mark is held against the lower bounds of grade bands, after its one rounding.
 */
enum BoundaryRule: string
{
    case AsItStands = 'as-it-stands';
    case WholeMarks = 'whole-marks';
}
