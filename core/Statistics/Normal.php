<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Statistics;

/**
 * The standard normal distribution.
 */
final class Normal
{
    /**
     * The share of it at or below a value, 0 to 1, to about fourteen digits; by W. J. Cody's rational approximations as
     * G. West gives them, "Better approximations to cumulative normal functions", Wilmott Magazine, May 2005.
     */
    public static function cdf(float $x): float
    {
        $z = abs($x);
        if ($z > 37) {
            $tail = 0.0;
        } else {
            $density = exp(-$z * $z / 2);
            if ($z < 7.07106781186547) {
                $above = self::polynomial($z, [
                    3.52624965998911E-02, 0.700383064443688, 6.37396220353165, 33.912866078383, 112.079291497871,
                    221.213596169931, 220.206867912376,
                ]);
                $below = self::polynomial($z, [
                    8.83883476483184E-02, 1.75566716318264, 16.064177579207, 86.7807322029461, 296.564248779674,
                    637.333633378831, 793.826512519948, 440.413735824752,
                ]);
                $tail = $density * $above / $below;
            } else {
                $fraction = $z + 1 / ($z + 2 / ($z + 3 / ($z + 4 / ($z + 0.65))));
                $tail = $density / $fraction / 2.506628274631;
            }
        }

        return $x > 0 ? 1 - $tail : $tail;
    }

    /**
     * @param  list<float>  $coefficients  of the highest power first
     */
    private static function polynomial(float $x, array $coefficients): float
    {
        $sum = 0.0;
        foreach ($coefficients as $coefficient) {
            $sum = $sum * $x + $coefficient;
        }

        return $sum;
    }
}
