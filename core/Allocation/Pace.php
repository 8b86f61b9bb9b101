<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Allocation;

/**
 * How fast someone marks beside how fast they would have to, counted in scripts a day.
 */
enum Pace: string
{
    case Done = 'all-done';
    case InTime = 'in-time';
    case Behind = 'behind';
    case NotBegun = 'not-begun';
    case Past = 'past';
    case Open = 'no-date';

    /**
     * @param  int  $given  scripts
     * @param  int  $done  of them
     * @param  int  $days  since the first was done, that day included; 0 before
     * @param  int|null  $left  days until results are promised, today not counted; negative when past; null without a date
     */
    public static function of(int $given, int $done, int $days, ?int $left): self
    {
        $open = $given - $done;

        return match (true) {
            $open <= 0 => self::Done,
            $left === null => self::Open,
            $left < 0 => self::Past,
            $done === 0 => self::NotBegun,
            // done ÷ days is enough when open ÷ (left + today) is no more.
            $open * max(1, $days) <= $done * ($left + 1) => self::InTime,
            default => self::Behind,
        };
    }

    /** Scripts a day that are needed from today on, rounded up; null without a date to be done by. */
    public static function needed(int $open, ?int $left): ?int
    {
        return $left === null || $left < 0 || $open <= 0 ? null : (int) ceil($open / ($left + 1));
    }

    public function needsAttention(): bool
    {
        return $this === self::Behind || $this === self::Past || $this === self::NotBegun;
    }
}
