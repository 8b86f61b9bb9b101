<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

use YoungHarbor\Core\Statistics\StudentT;

/**
 * 95 % intervals of figures that are smooth functions of weighted sums over scripts.
 */
final class Interval
{
    /** Of both tails together, 5 in 100 lie beyond. */
    public const UPPER = 0.975;

    /**
     * The standard error of a figure by linearisation: how much it changes with each script's weight (the
     * infinitesimal jackknife; B. Efron, "The Jackknife, the Bootstrap and Other Resampling Plans", 1982, chapter 6).
     *
     * @param  list<float>  $changes  the figure's derivative by each script's weight
     * @param  list<float>  $weights  of the scripts
     * @return float|null null for fewer than two scripts
     */
    public static function error(array $changes, array $weights): ?float
    {
        $n = count($changes);
        if ($n < 2) {
            return null;
        }
        $moved = array_map(fn (float $change, float $weight) => $change * $weight, $changes, $weights);
        $mean = array_sum($moved) / $n;
        $squares = array_sum(array_map(fn (float $one) => ($one - $mean) ** 2, $moved));

        return sqrt($squares * $n / ($n - 1));
    }

    /**
     * Around a coefficient of at most 1, on the scale of R. A. Fisher's z, so that it never goes beyond 1 ("Statistical
     * Methods for Research Workers", 1925, section 35), with Student's t.
     *
     * @param  float  $degrees  of freedom, above 0
     * @return array{float, float}|null null where there is no error, as with a coefficient of 1
     */
    public static function ofCoefficient(?float $figure, ?float $error, float $degrees): ?array
    {
        if ($figure === null || $error === null || $error <= 0 || $degrees < 1 || abs($figure) >= 1) {
            return null;
        }
        $middle = atanh($figure);
        $half = StudentT::quantile(self::UPPER, $degrees) * $error / (1 - $figure ** 2);

        return [tanh($middle - $half), tanh($middle + $half)];
    }
}
