<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

/**
 * Krippendorff's alpha: 1 − observed ÷ expected disagreement over all pairs of marks of a script, whoever made them, as
 * many as there are (K. Krippendorff, "Computing Krippendorff's Alpha-Reliability", 2011). Scripts with one mark say
 * nothing and are left out; weighted scripts enter the table of coincidences with their weight.
 */
final class Alpha
{
    /**
     * @param  list<MarkedScript>  $scripts
     * @return float|null at most 1; null without a script that two marked, or where all marks are equal
     */
    public static function of(array $scripts, Scale $scale): ?float
    {
        $used = array_values(array_filter($scripts, fn (MarkedScript $one) => count($one->marks) > 1));
        if ($used === []) {
            return null;
        }
        $weights = Weights::even(array_map(fn (MarkedScript $one) => $one->weight, $used));
        $totals = [];
        foreach ($used as $n => $one) {
            foreach ($one->marks as $mark) {
                $totals["{$mark}"] = ($totals["{$mark}"] ?? 0.0) + $weights[$n];
            }
        }
        $values = array_map(floatval(...), array_keys($totals));
        sort($values);
        $counts = array_map(fn (float $value) => $totals["{$value}"], $values);
        $distance = self::distances($values, $counts, $scale);
        $at = array_flip(array_map(fn (float $value) => "{$value}", $values));
        $observed = 0.0;
        foreach ($used as $n => $one) {
            $marks = array_values($one->marks);
            foreach ($marks as $i => $a) {
                foreach ($marks as $j => $b) {
                    $i === $j || $observed += $weights[$n] / (count($marks) - 1) * $distance($at["{$a}"], $at["{$b}"]);
                }
            }
        }
        $expected = 0.0;
        foreach ($counts as $i => $a) {
            for ($j = $i + 1; $j < count($counts); $j++) {
                $expected += 2 * $a * $counts[$j] * $distance($i, $j);
            }
        }

        return $expected <= 0 ? null : 1 - (array_sum($counts) - 1) * $observed / $expected;
    }

    /**
     * @param  list<float>  $values  rising
     * @param  list<float>  $counts
     * @return callable(int, int): float the square of the distance of two values, by their places
     */
    private static function distances(array $values, array $counts, Scale $scale): callable
    {
        $below = [0.0];
        foreach ($counts as $count) {
            $below[] = $below[count($below) - 1] + $count;
        }

        return match ($scale) {
            Scale::Nominal => fn (int $a, int $b): float => $a === $b ? 0.0 : 1.0,
            Scale::Ordinal => fn (int $a, int $b): float => (
                $below[max($a, $b) + 1] - $below[min($a, $b)] - ($counts[$a] + $counts[$b]) / 2
            ) ** 2,
            Scale::Interval => fn (int $a, int $b): float => ($values[$a] - $values[$b]) ** 2,
            Scale::Ratio => fn (int $a, int $b): float => $values[$a] + $values[$b] == 0.0
                ? 0.0
                : (($values[$a] - $values[$b]) / ($values[$a] + $values[$b])) ** 2,
        };
    }
}
