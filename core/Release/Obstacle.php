<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

use YoungHarbor\Core\Stage;

/**
 * What can stand between a script and its release, in the order it is cleared.
 */
enum Obstacle: string
{
    case NotSharedOut = 'not shared out';
    case NotMarked = 'not marked';
    case NoSecondMark = 'no second mark';
    case NotSettled = 'not settled';
    case Held = 'held';

    /** The stage at which it is cleared. */
    public function stage(): Stage
    {
        return match ($this) {
            self::NotSharedOut => Stage::ShareOut,
            self::NotMarked => Stage::Mark,
            self::NoSecondMark, self::NotSettled => Stage::Moderate,
            self::Held => Stage::Release,
        };
    }

    public function sentence(int $scripts): string
    {
        $are = $scripts === 1 ? 'script is' : 'scripts are';
        $have = $scripts === 1 ? 'script has' : 'scripts have';

        return match ($this) {
            self::NotSharedOut => $scripts === 0 ? 'Every script has a marker' : "{$scripts} {$are} not shared out",
            self::NotMarked => $scripts === 0 ? 'Every script is marked' : "{$scripts} {$have} no finished first mark",
            self::NoSecondMark => $scripts === 0 ? 'Every second mark is in' : "{$scripts} {$have} no finished second mark",
            self::NotSettled => $scripts === 0 ? 'Nothing is left to settle' : "{$scripts} {$are} not settled",
            self::Held => $scripts === 0 ? 'Nothing is held' : "{$scripts} {$are} held",
        };
    }
}
