<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

/**
 * How far each of some texts lies from all the others: the squared Mahalanobis distance of what is measured of it from
 * the mean of the others, with their correlations drawn towards none, since the texts are few.
 *
 * P. Mahalanobis, Proceedings of the National Institute of Sciences of India 2, 1936. The correlation matrix R of the
 * others becomes (1 − s) R + s I with s = d ÷ (d + n) for d signals and n others: regularised discriminant analysis
 * (J. Friedman, Journal of the American Statistical Association 84, 1989) with a weight of our own that does not depend
 * on the texts. Every text is treated alike, which is what makes the p-value of Conformal exact.
 *
 * A value that is missing counts as the mean of those there are. A signal that is the same in every text, or is there
 * in fewer than half, is left out.
 */
final class Unusualness
{
    /**
     * The variance of the others is at least this part of that of all, so that a signal none of them shows stays
     * finite.
     */
    private const FLOOR = 0.1;

    /**
     * @param  non-empty-list<array<string, float|null>>  $texts  measures by signal, in the same order
     * @return list<float> 0 and more, one a text
     */
    public static function of(array $texts): array
    {
        $rows = self::complete($texts);
        $n = count($rows);
        $d = count($rows[0]);
        if ($n < 3 || $d === 0) {
            return array_fill(0, $n, 0.0);
        }
        $sums = array_fill(0, $d, 0.0);
        $products = array_fill(0, $d, $sums);
        foreach ($rows as $row) {
            for ($j = 0; $j < $d; $j++) {
                $sums[$j] += $row[$j];
                for ($k = 0; $k <= $j; $k++) {
                    $products[$j][$k] += $row[$j] * $row[$k];
                }
            }
        }

        return array_map(fn (array $row) => self::distance($row, $sums, $products, $n - 1), $rows);
    }

    /**
     * @param  list<float>  $row
     * @param  array<int, float>  $sums
     * @param  array<int, array<int, float>>  $products
     */
    private static function distance(array $row, array $sums, array $products, int $others): float
    {
        $d = count($row);
        $mean = $spread = $z = [];
        for ($j = 0; $j < $d; $j++) {
            $mean[$j] = ($sums[$j] - $row[$j]) / $others;
            // All rows are standardised over all texts, so the variance of all of them is 1.
            $spread[$j] = sqrt(max(self::FLOOR, ($products[$j][$j] - $row[$j] ** 2) / $others - $mean[$j] ** 2));
            $z[$j] = ($row[$j] - $mean[$j]) / $spread[$j];
        }
        $shrink = $d / ($d + $others);
        $correlation = [];
        for ($j = 0; $j < $d; $j++) {
            for ($k = 0; $k < $j; $k++) {
                $correlation[$j][$k] = (1 - $shrink) * (
                    ($products[$j][$k] - $row[$j] * $row[$k]) / $others - $mean[$j] * $mean[$k]
                ) / ($spread[$j] * $spread[$k]);
            }
            $correlation[$j][$j] = 1.0;
        }

        return self::quadratic($correlation, $z);
    }

    /**
     * z′ M⁻¹ z by the Cholesky factor of M, of which the lower half is given.
     *
     * @param  array<int, array<int, float>>  $m
     * @param  array<int, float>  $z
     */
    private static function quadratic(array $m, array $z): float
    {
        $sum = 0.0;
        $lower = $solved = [];
        foreach ($m as $j => $row) {
            foreach ($row as $k => $value) {
                for ($l = 0; $l < $k; $l++) {
                    $value -= $lower[$j][$l] * $lower[$k][$l];
                }
                $lower[$j][$k] = $j === $k ? sqrt(max($value, 1e-9)) : $value / $lower[$k][$k];
            }
            $rest = $z[$j];
            for ($l = 0; $l < $j; $l++) {
                $rest -= $lower[$j][$l] * $solved[$l];
            }
            $solved[$j] = $rest / $lower[$j][$j];
            $sum += $solved[$j] ** 2;
        }

        return $sum;
    }

    /**
     * Signals that can be compared, each with mean 0 and variance 1 over all texts.
     *
     * @param  non-empty-list<array<string, float|null>>  $texts
     * @return non-empty-list<list<float>>
     */
    private static function complete(array $texts): array
    {
        $rows = array_fill(0, count($texts), []);
        foreach (array_keys($texts[0]) as $signal) {
            $values = array_column($texts, $signal);
            $there = array_filter($values, fn (?float $value) => $value !== null);
            if (2 * count($there) < count($texts)) {
                continue;
            }
            $mean = array_sum($there) / count($there);
            $values = array_map(fn (?float $value) => $value === null ? 0.0 : $value - $mean, $values);
            $spread = sqrt(array_sum(array_map(fn (float $value) => $value ** 2, $values)) / count($values));
            if ($spread < 1e-9) {
                continue;
            }
            foreach ($values as $i => $value) {
                $rows[$i][] = $value / $spread;
            }
        }

        return $rows;
    }
}
