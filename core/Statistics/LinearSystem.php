<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Statistics;

/**
 * Linear equations with a symmetric positive definite matrix.
 */
final class LinearSystem
{
    /**
     * By Gauss and Jordan; the diagonal serves for pivots, since the matrix is positive definite.
     *
     * @param  list<array<int, float>>  $matrix
     * @return list<array<int, float>>
     */
    public static function inverse(array $matrix): array
    {
        $size = count($matrix);
        for ($k = 0; $k < $size; $k++) {
            $pivot = $matrix[$k][$k];
            $row = $matrix[$k];
            $row[$k] = 1.0;
            foreach ($row as $j => $value) {
                $row[$j] = $value / $pivot;
            }
            foreach ($matrix as $i => $other) {
                $factor = $other[$k];
                if ($i === $k || $factor === 0.0) {
                    continue;
                }
                $other[$k] = 0.0;
                foreach ($row as $j => $value) {
                    $other[$j] -= $factor * $value;
                }
                $matrix[$i] = $other;
            }
            $matrix[$k] = $row;
        }

        return $matrix;
    }

    /**
     * The solution, by elimination; the matrix is positive definite, so the diagonal serves for pivots.
     *
     * @param  list<list<float>>  $matrix  symmetric
     * @param  list<float>  $right
     * @return list<float>
     */
    public static function solve(array $matrix, array $right): array
    {
        $size = count($right);
        for ($k = 0; $k < $size; $k++) {
            $row = $matrix[$k];
            for ($i = $k + 1; $i < $size; $i++) {
                $factor = $matrix[$i][$k] / $row[$k];
                if ($factor === 0.0) {
                    continue;
                }
                for ($j = $k + 1; $j < $size; $j++) {
                    $matrix[$i][$j] -= $factor * $row[$j];
                }
                $right[$i] -= $factor * $right[$k];
            }
        }
        for ($k = $size - 1; $k >= 0; $k--) {
            for ($j = $k + 1; $j < $size; $j++) {
                $right[$k] -= $matrix[$k][$j] * $right[$j];
            }
            $right[$k] /= $matrix[$k][$k];
        }

        return array_values($right);
    }
}
