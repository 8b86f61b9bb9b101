<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Statistics;

/**
 * Student's t distribution, and the noncentral one that says what a test can see.
 */
final class StudentT
{
    /** Steps of Simpson's rule: against R's figures from 1 to 4999 degrees of freedom off by less than 0.0000005. */
    private const STEPS = 800;

    /**
     * The share of it at or below a value, 0 to 1.
     *
     * @param  float  $degrees  of freedom, above 0
     */
    public static function cdf(float $t, float $degrees): float
    {
        $tail = Beta::incomplete($degrees / ($degrees + $t * $t), $degrees / 2, 0.5) / 2;

        return $t > 0 ? 1 - $tail : $tail;
    }

    /**
     * The value that lies above a share of it: of 0.975 with 9 degrees of freedom 2.2622.
     *
     * @param  float  $share  between 0 and 1
     * @param  float  $degrees  of freedom, at least 1
     */
    public static function quantile(float $share, float $degrees): float
    {
        if ($share < 0.5) {
            return -self::quantile(1 - $share, $degrees);
        }
        $low = 0.0;
        for ($high = 2.0; self::cdf($high, $degrees) < $share; $high *= 2) {
            $low = $high;
        }
        for ($k = 0; $k < 80 && $high - $low > 1e-13 * $high; $k++) {
            $middle = ($low + $high) / 2;
            self::cdf($middle, $degrees) < $share ? $low = $middle : $high = $middle;
        }

        return ($low + $high) / 2;
    }

    /**
     * How often a two-sided t test raises an alarm, both tails counted: the share of the noncentral t distribution that
     * lies beyond the central one's quantiles. Given the root of a chi-square over its degrees of freedom, s, the
     * statistic is normal; Simpson's rule takes the mean over s (the definition of the distribution; Owen 1968,
     * "A survey of properties and applications of the noncentral t-distribution").
     *
     * @param  float  $noncentrality  true difference ÷ its standard error
     * @param  float  $degrees  of freedom, at least 1
     * @param  float  $alarm  how often it is raised when there is no difference, between 0 and 1
     * @return float 0 to 1
     */
    public static function power(float $noncentrality, float $degrees, float $alarm): float
    {
        $line = self::quantile(1 - $alarm / 2, $degrees);
        $from = max(0.0, 1 - 9 / sqrt($degrees));
        $step = (1 + 9 / sqrt($degrees) - $from) / self::STEPS;
        $scale = log(2) + $degrees / 2 * log($degrees / 2) - Gamma::logarithm($degrees / 2);
        $sum = 0.0;
        for ($k = 0; $k <= self::STEPS; $k++) {
            $s = $from + $k * $step;
            $density = match (true) {
                $s > 0 => exp($scale + ($degrees - 1) * log($s) - $degrees * $s * $s / 2),
                $degrees > 1 => 0.0,
                default => exp($scale),
            };
            if ($density < 1e-18) {
                continue;
            }
            $beyond = Normal::cdf($noncentrality - $line * $s) + Normal::cdf(-$noncentrality - $line * $s);
            $sum += $density * $beyond * ($k === 0 || $k === self::STEPS ? 1 : ($k % 2 === 1 ? 4 : 2));
        }

        return min(1.0, $sum * $step / 3);
    }
}
