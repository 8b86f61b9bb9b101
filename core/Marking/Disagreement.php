<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

/**
 * Who settles a script whose marks the rule cannot settle.
 */
enum Disagreement: string
{
    case ItsMarkers = 'its-markers';
}
