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
        [$all, $observed, $expected] = self::table($pairs, $weights, $squared);

        return $all <= 0 || $expected <= 0 ? null : 1 - $observed * $all / $expected;
    }

    /**
     * 95 % of it, by linearisation and Fisher's z ({@see Interval}); unweighted, the standard error is that of
     * J. L. Fleiss, J. Cohen and B. S. Everitt, Psychological Bulletin 72, 1969, times √(n ÷ (n − 1)).
     *
     * @param  list<array{int, int}>  $pairs  bands by number
     * @param  list<float>  $weights
     * @return array{float, float}|null
     */
    public static function interval(array $pairs, array $weights, bool $squared): ?array
    {
        return Interval::ofCoefficient(
            self::of($pairs, $weights, $squared), self::error($pairs, $weights, $squared),
            Weights::effective($weights) - 1,
        );
    }

    /**
     * Its standard error.
     *
     * @param  list<array{int, int}>  $pairs  bands by number
     * @param  list<float>  $weights
     */
    public static function error(array $pairs, array $weights, bool $squared): ?float
    {
        [$all, $observed, $expected, $byRow, $byColumn] = self::table($pairs, $weights, $squared);
        if ($expected <= 0) {
            return null;
        }

        // Of 1 − observed × all ÷ expected, by the weight of each pair.
        return Interval::error(array_map(
            fn (array $pair) => $observed * $all * ($byRow[$pair[0]] + $byColumn[$pair[1]]) / $expected ** 2
                - (self::distance($pair[0], $pair[1], $squared) * $all + $observed) / $expected,
            $pairs,
        ), $weights);
    }

    /**
     * @param  list<array{int, int}>  $pairs
     * @param  list<float>  $weights
     * @return array{float, float, float, array<int, float>, array<int, float>} all, observed, expected, by row, by column
     */
    private static function table(array $pairs, array $weights, bool $squared): array
    {
        $rows = $columns = $byRow = $byColumn = [];
        $observed = $expected = 0.0;
        foreach ($pairs as $n => [$first, $second]) {
            $rows[$first] = ($rows[$first] ?? 0.0) + $weights[$n];
            $columns[$second] = ($columns[$second] ?? 0.0) + $weights[$n];
            $observed += $weights[$n] * self::distance($first, $second, $squared);
        }
        foreach ($rows as $first => $row) {
            foreach ($columns as $second => $column) {
                $far = self::distance($first, $second, $squared);
                $byRow[$first] = ($byRow[$first] ?? 0.0) + $column * $far;
                $byColumn[$second] = ($byColumn[$second] ?? 0.0) + $row * $far;
                $expected += $row * $column * $far;
            }
        }

        return [array_sum($weights), $observed, $expected, $byRow, $byColumn];
    }

    private static function distance(int $first, int $second, bool $squared): float
    {
        return $squared ? (float) ($first - $second) ** 2 : ($first === $second ? 0.0 : 1.0);
    }
}
