<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

use YoungHarbor\Core\Statistics\StudentT;

/**
 * How likely scripts marked twice by one marker and by others are to show that the marker differs from them: the
 * two-sided one-sample t test of the differences (J. Cohen, "Statistical Power Analysis for the Behavioral Sciences",
 * 1988, chapter 2).
 */
final class Power
{
    /** No more scripts than this are looked for. */
    public const MOST = 1_000_000;

    /**
     * @param  int  $double  scripts marked twice, 2 or more
     * @param  float  $sd  standard deviation of the differences of two marks on one script, in marks, above 0
     * @param  float  $severity  true difference between the marker and the others, in marks, above 0
     * @param  float  $alarm  how often one is called different who is not, between 0 and 1
     * @return float 0 to 1
     */
    public static function of(int $double, float $sd, float $severity, float $alarm): float
    {
        return StudentT::power($severity / $sd * sqrt($double), $double - 1, $alarm);
    }

    /**
     * The fewest scripts that show it so often.
     *
     * @param  float  $wish  how often, between 0 and 1
     * @return int|null 2 or more; null when a million are not enough
     */
    public static function least(float $wish, float $sd, float $severity, float $alarm): ?int
    {
        return self::search(2, fn (int $double) => self::of($double, $sd, $severity, $alarm) >= $wish);
    }

    /**
     * The lowest number, from one on, of which a thing is true that stays true above it.
     *
     * @param  callable(int): bool  $enough
     */
    public static function search(int $from, callable $enough, int $most = self::MOST): ?int
    {
        $low = $from - 1;
        for ($high = $from, $step = 1; ! $enough($high); $step *= 2) {
            if ($high >= $most) {
                return null;
            }
            $low = $high;
            $high = min($most, $high + $step);
        }
        while ($high - $low > 1) {
            $middle = intdiv($low + $high, 2);
            $enough($middle) ? $high = $middle : $low = $middle;
        }

        return $high;
    }
}
