<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

use YoungHarbor\Core\Statistics\LinearSystem;
use YoungHarbor\Core\Statistics\StudentT;

/**
 * How generous each marker is: mark = script + marker + noise, by (weighted) least squares, the markers of a set that
 * is linked by common scripts summing to zero. Positive is generous. Across sets nothing is compared.
 *
 * Unweighted, the standard error is the classical one. Weighted, it is the sandwich over scripts, which holds whatever
 * the weights have to do with the noise (H. White, Econometrica 48, 1980; with scripts as clusters). The 95 % interval
 * is by Student's t: with the residual degrees of freedom, or weighted with as many as the marker's own linked scripts
 * say, less one ({@see Weights::effective()}).
 */
final readonly class MarkerEffects
{
    /**
     * @param  array<array-key, array{effect: float, se: float|null, component: int, marks: int, linked: int, degrees: float, interval: array{float, float}|null}>  $markers  linked: marks on scripts that others marked too
     * @param  array<array-key, array<array-key, float>>  $covariances  of effects, by marker and marker of the same set
     */
    private function __construct(public array $markers, public int $sets, private array $covariances)
    {
    }

    /**
     * @param  list<MarkedScript>  $scripts
     */
    public static function of(array $scripts): self
    {
        $used = array_values(array_filter($scripts, fn (MarkedScript $one) => count($one->marks) > 1));
        $counts = [];
        foreach ($scripts as $script) {
            foreach (array_keys($script->marks) as $marker) {
                $counts[$marker] = ($counts[$marker] ?? 0) + 1;
            }
        }
        $sets = self::sets(array_keys($counts), $used);
        $isWeighted = count(array_unique(array_map(fn (MarkedScript $one) => $one->weight, $used))) > 1;
        $found = [];
        $squares = 0.0;
        $solved = [];
        foreach ($sets as $number => $set) {
            $solved[$number] = self::solve($set, $used);
            foreach ($solved[$number]['effects'] as $marker => $effect) {
                $found[$marker] = $effect;
            }
        }
        $marks = 0;
        foreach ($used as $one) {
            $marks += count($one->marks);
            foreach (self::residuals($one, $found) as $residual) {
                $squares += $one->weight * $residual ** 2;
            }
        }
        $degrees = $marks - count($used) - array_sum(array_map(fn (array $set) => count($set) - 1, $sets));
        $noise = $degrees < 1 ? null : $squares / $degrees;
        $linked = [];
        foreach ($used as $one) {
            foreach (array_keys($one->marks) as $marker) {
                $linked[$marker][] = $one->weight;
            }
        }
        $markers = $covariances = [];
        foreach ($sets as $number => $set) {
            if (count($set) > 1 && $noise !== null) {
                $covariances += $isWeighted
                    ? self::sandwiches($set, $used, $found, $solved[$number]['inverse'])
                    : array_map(
                        fn (array $row) => array_map(fn (float $one) => $one * $noise, $row),
                        $solved[$number]['inverse'],
                    );
            }
            foreach ($set as $marker) {
                $effect = $found[$marker] ?? 0.0;
                $se = isset($covariances[$marker]) ? sqrt(max(0.0, $covariances[$marker][$marker])) : null;
                $own = $isWeighted ? Weights::effective($linked[$marker] ?? []) - 1 : (float) $degrees;
                $half = $se === null || $own < 1 ? null : StudentT::quantile(Interval::UPPER, $own) * $se;
                $markers[$marker] = [
                    'effect' => $effect, 'se' => $se, 'component' => $number + 1, 'marks' => $counts[$marker],
                    'linked' => count($linked[$marker] ?? []),
                    'interval' => $half === null ? null : [$effect - $half, $effect + $half],
                    'degrees' => $own,
                ];
            }
        }
        uksort($markers, fn (string|int $a, string|int $b) => strnatcmp((string) $a, (string) $b));

        return new self(
            $markers, count(array_filter($sets, fn (array $set) => count($set) > 1)), $covariances,
        );
    }

    /**
     * How far a marker lies from the mean of others of the same set, with the standard error of that.
     *
     * @param  non-empty-list<array-key>  $others
     * @return array{float, float}|null null without a standard error
     */
    public function beside(string|int $marker, array $others): ?array
    {
        if (! isset($this->covariances[$marker])) {
            return null;
        }
        $parts = [$marker => 1.0];
        foreach ($others as $other) {
            $parts[$other] = ($parts[$other] ?? 0.0) - 1 / count($others);
        }
        $lie = $variance = 0.0;
        foreach ($parts as $a => $part) {
            $lie += $part * $this->markers[$a]['effect'];
            foreach ($parts as $b => $other) {
                $variance += $part * $other * $this->covariances[$a][$b];
            }
        }

        return [$lie, sqrt(max(0.0, $variance))];
    }

    /** Whether every marker is linked with every other, directly or over others. */
    public function isConnected(): bool
    {
        return count(array_unique(array_column($this->markers, 'component'))) <= 1;
    }

    /**
     * @param  list<array-key>  $markers
     * @param  list<MarkedScript>  $used
     * @return list<list<string>>
     */
    private static function sets(array $markers, array $used): array
    {
        $pairs = [];
        foreach ($used as $one) {
            $own = array_map(strval(...), array_keys($one->marks));
            foreach (array_slice($own, 1) as $other) {
                $pairs[] = [$own[0], $other];
            }
        }

        return Linking::of(array_map(strval(...), $markers), $pairs)->sets;
    }

    /**
     * The effects of a set, and the pseudo-inverse of its normal equations once scripts are taken out.
     *
     * @param  list<array-key>  $set
     * @param  list<MarkedScript>  $used
     * @return array{effects: array<array-key, float>, inverse: array<array-key, array<array-key, float>>}
     */
    private static function solve(array $set, array $used): array
    {
        $size = count($set);
        $at = array_flip($set);
        // 1 ÷ size everywhere makes the sum zero, and adds 1 ÷ size to the inverse.
        $matrix = array_fill(0, $size, array_fill(0, $size, 1 / $size));
        $right = array_fill(0, $size, 0.0);
        foreach ($used as $one) {
            if (! isset($at[array_key_first($one->marks)])) {
                continue;
            }
            $k = count($one->marks);
            $mean = array_sum($one->marks) / $k;
            foreach ($one->marks as $a => $mark) {
                $right[$at[$a]] += $one->weight * ($mark - $mean);
                $matrix[$at[$a]][$at[$a]] += $one->weight;
                foreach (array_keys($one->marks) as $b) {
                    $matrix[$at[$a]][$at[$b]] -= $one->weight / $k;
                }
            }
        }
        $inverse = LinearSystem::inverse($matrix);
        $effects = $named = [];
        foreach ($set as $i => $a) {
            $effects[$a] = 0.0;
            foreach ($set as $j => $b) {
                $named[$a][$b] = $inverse[$i][$j] - 1 / $size;
                $effects[$a] += $named[$a][$b] * $right[$j];
            }
        }

        return ['effects' => $effects, 'inverse' => $named];
    }

    /**
     * @param  array<array-key, float>  $effects
     * @return array<array-key, float> by marker
     */
    private static function residuals(MarkedScript $script, array $effects): array
    {
        $left = [];
        foreach ($script->marks as $marker => $mark) {
            $left[$marker] = $mark - $effects[$marker];
        }
        $mean = array_sum($left) / count($left);

        return array_map(fn (float $one) => $one - $mean, $left);
    }

    /**
     * The covariances of the effects of a set, times n ÷ (n − markers) for the few scripts there are.
     *
     * @param  list<array-key>  $set
     * @param  list<MarkedScript>  $used
     * @param  array<array-key, float>  $effects
     * @param  array<array-key, array<array-key, float>>  $inverse
     * @return array<array-key, array<array-key, float>> by marker and marker
     */
    private static function sandwiches(array $set, array $used, array $effects, array $inverse): array
    {
        $at = array_flip($set);
        // Each script moves only its own markers' sums: what lies between the two halves of the inverse is theirs.
        $middle = array_fill_keys($set, array_fill_keys($set, 0.0));
        $n = 0;
        foreach ($used as $one) {
            if (! isset($at[array_key_first($one->marks)])) {
                continue;
            }
            $n++;
            $residuals = self::residuals($one, $effects);
            foreach ($residuals as $a => $residual) {
                foreach ($residuals as $b => $other) {
                    $middle[$a][$b] += $one->weight ** 2 * $residual * $other;
                }
            }
        }
        $few = $n > count($set) ? $n / ($n - count($set)) : 1.0;

        return array_map(
            fn (array $row) => array_map(fn (float $one) => $one * $few, $row),
            self::times(self::times($inverse, $middle, $set), $inverse, $set),
        );
    }

    /**
     * @param  array<array-key, array<array-key, float>>  $left
     * @param  array<array-key, array<array-key, float>>  $right
     * @param  list<array-key>  $set
     * @return array<array-key, array<array-key, float>>
     */
    private static function times(array $left, array $right, array $set): array
    {
        $product = [];
        foreach ($set as $a) {
            foreach ($set as $b) {
                $sum = 0.0;
                foreach ($set as $c) {
                    $sum += $left[$a][$c] * $right[$c][$b];
                }
                $product[$a][$b] = $sum;
            }
        }

        return $product;
    }
}
