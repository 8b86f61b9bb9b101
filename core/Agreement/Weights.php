<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

/**
 * Moments of weighted figures. Weights are taken in proportion: they are brought to a mean of 1, so that with equal
 * ones every figure is the usual one.
 */
final class Weights
{
    /**
     * @param  list<float>  $weights
     * @return list<float> with a mean of 1
     */
    public static function even(array $weights): array
    {
        $mean = $weights === [] ? 1.0 : array_sum($weights) / count($weights);

        return array_map(fn (float $weight) => $weight / $mean, $weights);
    }

    /**
     * @param  non-empty-list<float>  $values
     * @param  list<float>  $weights
     */
    public static function mean(array $values, array $weights): float
    {
        return array_sum(array_map(fn (float $value, float $weight) => $value * $weight, $values, $weights))
            / array_sum($weights);
    }

    /**
     * With n − 1; null for fewer than two values.
     *
     * @param  non-empty-list<float>  $values
     * @param  list<float>  $weights
     */
    public static function variance(array $values, array $weights): ?float
    {
        $n = count($values);
        if ($n < 2) {
            return null;
        }
        $mean = self::mean($values, $weights);
        $even = self::even($weights);

        return array_sum(array_map(
            fn (float $value, float $weight) => $weight * ($value - $mean) ** 2, $values, $even,
        )) / ($n - 1);
    }

    /**
     * As how many equally weighted values they say: (Σw)² ÷ Σw² (L. Kish, "Survey Sampling", 1965).
     *
     * @param  list<float>  $weights
     */
    public static function effective(array $weights): float
    {
        $squares = array_sum(array_map(fn (float $weight) => $weight ** 2, $weights));

        return $squares > 0 ? array_sum($weights) ** 2 / $squares : 0.0;
    }
}
