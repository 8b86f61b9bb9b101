<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Statistics;

use LogicException;

/**
 * The incomplete beta function, from which the t and the F distribution are made.
 */
final class Beta
{
    /**
     * The regularised incomplete beta function I_x(a, b), 0 to 1, by its continued fraction (NIST Digital Library of
     * Mathematical Functions, 8.17.22), worked out by Lentz' method.
     *
     * @param  float  $x  0 to 1
     * @param  float  $a  above 0
     * @param  float  $b  above 0
     */
    public static function incomplete(float $x, float $a, float $b): float
    {
        if ($x <= 0) {
            return 0.0;
        }
        if ($x >= 1) {
            return 1.0;
        }
        // The fraction converges fast below the mean; above it the other tail is worked out.
        if ($x > ($a + 1) / ($a + $b + 2)) {
            return 1 - self::incomplete(1 - $x, $b, $a);
        }
        $front = exp(
            Gamma::logarithm($a + $b) - Gamma::logarithm($a) - Gamma::logarithm($b)
                + $a * log($x) + $b * log1p(-$x)
        ) / $a;

        return $front * self::fraction($x, $a, $b);
    }

    private static function fraction(float $x, float $a, float $b): float
    {
        $tiny = 1e-300;
        $c = 1.0;
        $d = 1 - ($a + $b) * $x / ($a + 1);
        $d = 1 / (abs($d) < $tiny ? $tiny : $d);
        $value = $d;
        for ($m = 1; $m <= 10_000; $m++) {
            foreach ([
                $m * ($b - $m) * $x / (($a + 2 * $m - 1) * ($a + 2 * $m)),
                -($a + $m) * ($a + $b + $m) * $x / (($a + 2 * $m) * ($a + 2 * $m + 1)),
            ] as $part) {
                $d = 1 + $part * $d;
                $d = 1 / (abs($d) < $tiny ? $tiny : $d);
                $c = 1 + $part / $c;
                $c = abs($c) < $tiny ? $tiny : $c;
                $value *= $c * $d;
            }
            if (abs($c * $d - 1) < 1e-15) {
                return $value;
            }
        }
        throw new LogicException("The continued fraction of I({$x}; {$a}, {$b}) does not converge.");
    }
}
