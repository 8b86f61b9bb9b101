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
}
