<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

use YoungHarbor\Core\Stage;

/**
 * What can stand between a script and its release, in the order it is cleared.
 */
enum ReleaseObstacle: string
{
    case NotSharedOut = 'not-shared-out';
    case NotMarked = 'not-marked';
    case NoSecondMark = 'no-second-mark';
    case SampleNotDrawn = 'sample-not-drawn';
    case NotSettled = 'not-settled';
    case Held = 'held';

    /** A talk with its student was found to be needed: it goes out with the others unless it is held. */
    case TalkOpen = 'talk-open';

    /** A round of peer review that counts is not closed: no result goes out. */
    case RoundOpen = 'round-open';

    /** A signature is missing: no result goes out. */
    case NotSigned = 'not-signed';

    /** The stage at which it is cleared. */
    public function stage(): Stage
    {
        return match ($this) {
            self::NotSharedOut, self::RoundOpen => Stage::ShareOut,
            self::NotMarked => Stage::Mark,
            self::NoSecondMark, self::SampleNotDrawn, self::NotSettled, self::NotSigned => Stage::Moderate,
            self::TalkOpen => Stage::Screen,
            self::Held => Stage::Release,
        };
    }
}
