<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Statistics;

/**
 * The gamma function.
 */
final class Gamma
{
    /** The coefficients of Lanczos' approximation with g = 7 and nine terms, as P. Godfrey computed them. */
    private const LANCZOS = [
        0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
        12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
    ];

    /**
     * Its natural logarithm, to about fourteen digits.
     *
     * @param  float  $x  above 0
     */
    public static function logarithm(float $x): float
    {
        if ($x < 0.5) {
            return log(M_PI / sin(M_PI * $x)) - self::logarithm(1 - $x);
        }
        $x--;
        $sum = self::LANCZOS[0];
        for ($k = 1; $k < 9; $k++) {
            $sum += self::LANCZOS[$k] / ($x + $k);
        }
        $t = $x + 7.5;

        return 0.5 * log(2 * M_PI) + ($x + 0.5) * log($t) - $t + log($sum);
    }
}
