<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

/**
 * Where one script is on its way to a released result.
 */
enum Standing: string
{
    case Expected = 'expected';
    case HandedIn = 'handed-in';
    case WithMarker = 'with-marker';
    case MarkedOnce = 'marked-once';
    case WithSecondMarker = 'with-second-marker';
    case ToSettle = 'to-settle';
    case WithThirdMarker = 'with-third-marker';
    case Agreed = 'agreed';
    case Released = 'released';
    case Held = 'held';

    /** Where a script stands; a held one stands still wherever it had got to. */
    public static function of(Facts $facts, Panel $panel): self
    {
        $reached = self::reached($facts, $panel);

        return $facts->held && $reached !== self::Released ? self::Held : $reached;
    }

    /** How far a script has got, whether it is held or not. */
    public static function reached(Facts $facts, Panel $panel): self
    {
        $second = $panel->in(Seat::Second);
        $firstDone = $panel->isDone(Seat::First);
        $third = $panel->in(Seat::Third);

        return match (true) {
            $facts->released => self::Released,
            $facts->agreed => self::Agreed,
            $firstDone && $second?->isDone() === true && $third?->isDone() === false => self::WithThirdMarker,
            $firstDone && $second?->isDone() === true => self::ToSettle,
            $firstDone && $second?->begun === true => self::WithSecondMarker,
            $firstDone => self::MarkedOnce,
            $panel->in(Seat::First) !== null => self::WithMarker,
            $facts->handedIn => self::HandedIn,
            default => self::Expected,
        };
    }

    /** Whether a first mark is done when a script has got this far. */
    public function isMarked(): bool
    {
        return match ($this) {
            self::MarkedOnce, self::WithSecondMarker, self::ToSettle, self::WithThirdMarker, self::Agreed,
            self::Released => true,
            self::Expected, self::HandedIn, self::WithMarker, self::Held => false,
        };
    }

    /** Whether its mark is agreed when a script has got this far. */
    public function isAgreed(): bool
    {
        return match ($this) {
            self::Agreed, self::Released => true,
            self::Expected, self::HandedIn, self::WithMarker, self::MarkedOnce, self::WithSecondMarker, self::ToSettle,
            self::WithThirdMarker, self::Held => false,
        };
    }
}
