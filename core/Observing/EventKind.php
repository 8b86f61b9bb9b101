<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Observing;

/**
 * What an observer's device records.
 */
enum EventKind: string
{
    /** The clock of the person observed begins to run, or runs on. */
    case Start = 'start';

    /** It stands still. */
    case Pause = 'pause';

    /** A step of a checklist: done, partly, not, or not seen. */
    case Step = 'step';

    /** Where a criterion's pin is. */
    case Level = 'level';

    case Note = 'note';

    /** A photo, a sound or a file. */
    case Evidence = 'evidence';

    /** How it went: as usual, no-show, came late, began again, stopped for safety. */
    case Course = 'course';

    /** Takes an earlier event back. */
    case Undo = 'undo';
}
