<?php

declare(strict_types=1);

namespace YoungHarbor\Core;

/**
 * Where one script is on its way to a released result.
 */
enum Standing: string
{
    case Expected = 'expected';
    case HandedIn = 'handed in';
    case WithMarker = 'with marker';
    case MarkedOnce = 'marked once';
    case WithSecondMarker = 'with second marker';
    case ToSettle = 'to settle';
    case Agreed = 'agreed';
    case Released = 'released';
    case Held = 'held';

    /**
     * @param  bool  $secondWanted  whether this script is to have a second mark
     * @param  bool  $secondBegun  whether the second marker has begun
     */
    public static function of(
        bool $handedIn,
        bool $sharedOut,
        bool $firstDone,
        bool $secondWanted,
        bool $secondBegun,
        bool $secondDone,
        bool $agreed,
        bool $held,
        bool $released,
    ): self {
        return match (true) {
            $released => self::Released,
            $held => self::Held,
            $agreed => self::Agreed,
            $firstDone && $secondDone => self::ToSettle,
            $secondWanted && ($secondBegun || $secondDone) && $firstDone => self::WithSecondMarker,
            $firstDone => self::MarkedOnce,
            $sharedOut => self::WithMarker,
            $handedIn => self::HandedIn,
            default => self::Expected,
        };
    }
}
