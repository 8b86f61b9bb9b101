<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

/**
 * What happens with a script whose marks the rule cannot settle and whose markers have not agreed by the date.
 */
enum Disagreement: string
{
    /** They are reminded. */
    case ItsMarkers = 'its-markers';

    /** A third marker is asked for. */
    case Third = 'third';

    /** It waits for a coordinator who marked neither. */
    case Coordinator = 'coordinator';
}
