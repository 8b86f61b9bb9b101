<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

/**
 * How peers' marks of one script become one.
 */
enum Method: string
{
    case Median = 'median';
    case Mean = 'mean';
    case Trimmed = 'trimmed';
    case Reliability = 'reliability';
}
