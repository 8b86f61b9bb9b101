<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

/**
 * Agreement of two on bands beyond what chance gives: 1 − observed ÷ expected disagreement (J. Cohen, "A coefficient of
 * agreement for nominal scales", Educational and Psychological Measurement 20, 1960), weighted by the square of how
 * many bands lie between (J. Cohen, Psychological Bulletin 70, 1968; J. L. Fleiss, J. Cohen, Educational and
 * Psychological Measurement 33, 1973).
 */
final class Kappa
{
    /**
     * @param  list<array{int, int}>  $pairs  bands by number
     * @param  list<float>  $weights
     * @param  bool  $squared  whether disagreement counts by the square of the distance
     * @return float|null −1 to 1; null without a pair, or where chance alone would leave no disagreement
     */
    public static function of(array $pairs, array $weights, bool $squared): ?float
    {
        $all = array_sum($weights);
        $rows = $columns = [];
        $observed = 0.0;
        foreach ($pairs as $n => [$first, $second]) {
            $rows[$first] = ($rows[$first] ?? 0.0) + $weights[$n];
            $columns[$second] = ($columns[$second] ?? 0.0) + $weights[$n];
            $observed += $weights[$n] * self::distance($first, $second, $squared);
        }
        $expected = 0.0;
        foreach ($rows as $first => $row) {
            foreach ($columns as $second => $column) {
                $expected += $row * $column * self::distance($first, $second, $squared);
            }
        }

        return $all <= 0 || $expected <= 0 ? null : 1 - $observed * $all / $expected;
    }

    private static function distance(int $first, int $second, bool $squared): float
    {
        return $squared ? (float) ($first - $second) ** 2 : ($first === $second ? 0.0 : 1.0);
    }
}
