<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

/**
 * How criteria make the total: by weights that sum to exactly 100, or by their points alone.
 */
enum Weighting: string
{
    case Percent = 'percent';
    case Points = 'points';
}
