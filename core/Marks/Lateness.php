<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

use DateTimeImmutable;
use DateTimeZone;

/**
 * How late a piece of work came in, in the institution's zone, with the days that may not count.
 *
 * A day late ends at the same time of day on the next day, so that it has 23 or 25 hours when the clocks change; an
 * hour is an hour. On days that do not count the clock stands still from midnight to midnight.
 */
final readonly class Lateness
{
    /** Longer is not told apart: nobody waits for work ten years. */
    private const MOST_DAYS = 3660;

    /**
     * @param  array<string, true>  $closureDays  by date as Y-m-d
     */
    private function __construct(
        public DateTimeImmutable $due,
        public DateTimeImmutable $received,
        private array $closureDays,
        public bool $waived,
    ) {
    }

    /**
     * @param  list<string>  $closureDays  dates as Y-m-d on which the institution is closed
     * @param  bool  $waived  whether a coordinator has let it pass; then it costs nothing
     */
    public static function between(
        DateTimeImmutable $due, DateTimeImmutable $received, DateTimeZone $zone, array $closureDays = [],
        bool $waived = false,
    ): self {
        return new self(
            $due->setTimezone($zone), $received->setTimezone($zone), array_fill_keys($closureDays, true), $waived,
        );
    }

    public static function none(): self
    {
        $any = new DateTimeImmutable('2000-01-01T00:00:00Z');

        return new self($any, $any, [], false);
    }

    /** Seconds between the due time and the work, on every day; 0 for work in time. */
    public function elapsed(): int
    {
        return max(0, $this->received->getTimestamp() - $this->due->getTimestamp());
    }

    /** Seconds that count, without those on days that do not. */
    public function seconds(bool $withoutWeekends, bool $withoutClosures): int
    {
        return $this->counted(
            $withoutWeekends, $withoutClosures, fn (DateTimeImmutable $at): int => $at->getTimestamp(),
        );
    }

    /**
     * Seconds on the clock on the wall, where every day has 24 hours. Work that is late by any time that counts is
     * late by one second at least, also when the clocks go back meanwhile.
     */
    public function clockSeconds(bool $withoutWeekends, bool $withoutClosures): int
    {
        $seconds = $this->counted(
            $withoutWeekends, $withoutClosures, fn (DateTimeImmutable $at): int => self::wall($at),
        );

        return $seconds < 1 && $this->seconds($withoutWeekends, $withoutClosures) > 0 ? 1 : $seconds;
    }

    /** "2 days 3 h", "40 min", "12 s": all the time that went by. */
    public function inWords(): string
    {
        $left = $this->elapsed();
        $parts = [];
        foreach ([[86400, 'day'], [3600, 'h'], [60, 'min'], [1, 's']] as [$size, $unit]) {
            $n = intdiv($left, $size);
            $left -= $n * $size;
            if ($n > 0) {
                $parts[] = $n.' '.$unit.($unit === 'day' && $n > 1 ? 's' : '');
            }
        }

        return implode(' ', array_slice($parts, 0, 2));
    }

    /**
     * Whether the clock stands still on a day, in the zone of the day given.
     *
     * @param  array<string, true>  $closureDays  by date as Y-m-d
     */
    public static function isOff(
        DateTimeImmutable $day, bool $withoutWeekends, bool $withoutClosures, array $closureDays,
    ): bool {
        return ($withoutWeekends && $day->format('N') >= 6)
            || ($withoutClosures && isset($closureDays[$day->format('Y-m-d')]));
    }

    /**
     * @param  callable(DateTimeImmutable): int  $measure
     */
    private function counted(bool $withoutWeekends, bool $withoutClosures, callable $measure): int
    {
        if ($this->elapsed() === 0) {
            return 0;
        }
        if (! $withoutWeekends && ! $withoutClosures) {
            return max(0, $measure($this->received) - $measure($this->due));
        }
        $seconds = 0;
        $from = $this->due;
        for ($n = 0; $n < self::MOST_DAYS && $from < $this->received; $n++) {
            $midnight = $from->setTime(0, 0)->modify('+1 day')->setTime(0, 0);
            $to = $midnight < $this->received ? $midnight : $this->received;
            if (! self::isOff($from, $withoutWeekends, $withoutClosures, $this->closureDays)) {
                $seconds += $measure($to) - $measure($from);
            }
            $from = $to;
        }

        return max(0, $seconds);
    }

    /** The time on the wall as if every day had 24 hours. */
    private static function wall(DateTimeImmutable $at): int
    {
        return $at->getTimestamp() + $at->getOffset();
    }
}
