<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

use DateTimeImmutable;
use DateTimeZone;
use YoungHarbor\Core\Figures\Working;
use YoungHarbor\Core\Figures\WorkingLine;

/**
 * When a piece of work is due for one student: the assignment's due time, what the student is always allowed, and an
 * extension for this assignment, with the steps that led there.
 *
 * Extra days end at the same time of day; when the last of them falls on a weekend or a closure day, the time moves on
 * to the next day that is neither. Extra time is a share of the time from opening to due, and takes the place of extra
 * days in assignments short enough for it. An extension counts when it is later than what comes of these; it never
 * makes the time shorter. Late work is taken for as long after it as after the assignment's own due time.
 */
final readonly class DueTime
{
    /**
     * Longest time from opening to due, in hours, for which extra time is meant: papers written in one sitting or a few
     * days.
     */
    public const TIMED_HOURS = 72;

    private function __construct(
        public DateTimeImmutable $due,
        public ?DateTimeImmutable $closes,
        public Working $working,
    ) {
    }

    /**
     * @param  int  $extraDays  0 to 60
     * @param  int  $extraPercent  of the time from opening to due, 0 to 200
     * @param  list<string>  $closureDays  dates as Y-m-d
     */
    public static function of(
        DateTimeImmutable $due, ?DateTimeImmutable $opens, ?DateTimeImmutable $closes, DateTimeZone $zone,
        int $extraDays = 0, int $extraPercent = 0, ?DateTimeImmutable $extension = null, array $closureDays = [],
    ): self {
        $due = $due->setTimezone($zone);
        $at = $due;
        $working = new Working([new WorkingLine('Due', 'for everyone', self::shown($due))]);
        if (self::isTimed($opens, $due)) {
            if ($extraPercent > 0 && $opens !== null) {
                $minutes = (int) ceil(($due->getTimestamp() - $opens->getTimestamp()) * $extraPercent / 6000);
                $at = $at->setTimestamp($at->getTimestamp() + 60 * $minutes);
                $working = $working->then(
                    new WorkingLine(
                        'Extra time',
                        "{$extraPercent} % of the time from opening: ".intdiv($minutes, 60).' h '.($minutes % 60)
                            .' min',
                        self::shown($at),
                    )
                );
            }
        } elseif ($extraDays > 0) {
            $at = $at->modify("+{$extraDays} days");
            $working = $working->then(
                new WorkingLine('Extra days', $extraDays === 1 ? 'one day' : "{$extraDays} days", self::shown($at))
            );
            $moved = self::pastDaysOff($at, array_fill_keys($closureDays, true));
            if ($moved != $at) {
                $at = $moved;
                $working = $working->then(
                    new WorkingLine('Moved on', 'to the next day that is no weekend or closure day', self::shown($at))
                );
            }
        }
        if ($extension !== null) {
            $extension = $extension->setTimezone($zone);
            $working = $working->then(
                new WorkingLine(
                    'Extension',
                    $extension > $at ? 'for this assignment' : 'for this assignment; the time above is later and holds',
                    self::shown($extension),
                )
            );
            $at = $extension > $at ? $extension : $at;
        }

        return new self(
            $at, $closes?->setTimestamp($closes->getTimestamp() + $at->getTimestamp() - $due->getTimestamp()), $working,
        );
    }

    /** The latest of a group's times, which holds for all of it. */
    public function orOfGroup(self $latest): self
    {
        return $latest->due <= $this->due ? $this
            : new self(
                $latest->due, $latest->closes,
                $this->working->then(
                    new WorkingLine(
                        'Your group', 'the latest of its members’ times holds for all', self::shown($latest->due),
                    )
                ),
            );
    }

    /**
     * Whether a standing allowance holds for an assignment: given before its due time, and not ended by then, or by now
     * while it is still to come.
     */
    public static function holds(
        DateTimeImmutable $given, ?DateTimeImmutable $ended, DateTimeImmutable $due, DateTimeImmutable $now,
    ): bool {
        return $given <= $due && ($ended === null || $ended > min($due, $now));
    }

    /** Whether an assignment is short enough for extra time in place of extra days. */
    public static function isTimed(?DateTimeImmutable $opens, DateTimeImmutable $due): bool
    {
        return $opens !== null && $due->getTimestamp() - $opens->getTimestamp() <= self::TIMED_HOURS * 3600;
    }

    /**
     * @param  array<string, true>  $closureDays
     */
    private static function pastDaysOff(DateTimeImmutable $at, array $closureDays): DateTimeImmutable
    {
        for ($n = 0; $n < 60 && Lateness::isOff($at, true, true, $closureDays); $n++) {
            $at = $at->modify('+1 day');
        }

        return $at;
    }

    private static function shown(DateTimeImmutable $at): string
    {
        return $at->format('D j M Y H:i');
    }
}
