<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Observing;

/**
 * How an observation went, recorded as what it was.
 */
enum Course: string
{
    case Usual = 'usual';
    case NoShow = 'no-show';
    case CameLate = 'late';

    /** After a start that did not count. */
    case Again = 'again';

    /** For somebody's safety. */
    case Stopped = 'stopped';
}
