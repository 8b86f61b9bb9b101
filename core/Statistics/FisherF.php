<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Statistics;

/**
 * The F distribution: how the ratio of two mean squares varies by chance.
 */
final class FisherF
{
    /**
     * The share of it at or below a value, 0 to 1.
     *
     * @param  float  $above  degrees of freedom of the numerator, above 0
     * @param  float  $below  of the denominator, above 0
     */
    public static function cdf(float $f, float $above, float $below): float
    {
        return $f <= 0 ? 0.0 : Beta::incomplete($above * $f / ($above * $f + $below), $above / 2, $below / 2);
    }

    /**
     * The value that lies above a share of it: of 0.95 with 5 and 18 degrees of freedom 2.7729.
     *
     * @param  float  $share  between 0 and 1
     */
    public static function quantile(float $share, float $above, float $below): float
    {
        $low = 0.0;
        for ($high = 2.0; self::cdf($high, $above, $below) < $share; $high *= 2) {
            $low = $high;
        }
        for ($k = 0; $k < 80 && $high - $low > 1e-12 * $high; $k++) {
            $middle = ($low + $high) / 2;
            self::cdf($middle, $above, $below) < $share ? $low = $middle : $high = $middle;
        }

        return ($low + $high) / 2;
    }
}
