<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

/**
 * How a distance of two marks is taken by Krippendorff's alpha.
 */
enum Scale: string
{
    case Nominal = 'nominal';
    case Ordinal = 'ordinal';
    case Interval = 'interval';
    case Ratio = 'ratio';
}
