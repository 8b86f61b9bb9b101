<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

/**
 * Krippendorff's alpha: 1 − observed ÷ expected disagreement over all pairs of marks of a script, whoever made them, as
 * many as there are (K. Krippendorff, "Computing Krippendorff's Alpha-Reliability", 2011). Scripts with one mark say
 * nothing and are left out; weighted scripts enter the table of coincidences with their weight.
 */
final readonly class Alpha
{
    /**
     * @param  list<list<float>>  $units  marks of each script that has two or more
     * @param  list<float>  $weights  with a mean of 1
     * @param  list<float>  $values  all marks that occur, rising
     * @param  list<float>  $counts  how often each does, weighted
     * @param  array<array-key, int>  $at  the place of each in $values
     */
    private function __construct(
        private array $units,
        private array $weights,
        private array $values,
        private array $counts,
        private array $at,
        private Scale $scale,
    ) {
    }

    /**
     * @param  list<MarkedScript>  $scripts
     * @return float|null at most 1; null without a script that two marked, or where all marks are equal
     */
    public static function of(array $scripts, Scale $scale): ?float
    {
        return self::from($scripts, $scale)->figure();
    }

    /**
     * 95 % of it, by linearisation and Fisher's z ({@see Interval}). Nominal, where marks that are the same to the mark
     * are few: by Wilson's score of how often they are, what chance gives taken as known.
     *
     * @param  list<MarkedScript>  $scripts
     * @return array{float, float}|null
     */
    public static function interval(array $scripts, Scale $scale): ?array
    {
        $alpha = self::from($scripts, $scale);
        if ($scale === Scale::Nominal) {
            return $alpha->byShare();
        }

        return Interval::ofCoefficient($alpha->figure(), $alpha->error(), Weights::effective($alpha->weights) - 1);
    }

    /**
     * @param  list<MarkedScript>  $scripts
     */
    private static function from(array $scripts, Scale $scale): self
    {
        $used = array_values(array_filter($scripts, fn (MarkedScript $one) => count($one->marks) > 1));
        $weights = Weights::even(array_map(fn (MarkedScript $one) => $one->weight, $used));
        $totals = [];
        foreach ($used as $n => $one) {
            foreach ($one->marks as $mark) {
                $totals["{$mark}"] = ($totals["{$mark}"] ?? 0.0) + $weights[$n];
            }
        }
        $values = array_map(floatval(...), array_keys($totals));
        sort($values);

        return new self(
            array_map(fn (MarkedScript $one) => array_values($one->marks), $used), $weights, $values,
            array_map(fn (float $value) => $totals["{$value}"], $values),
            array_flip(array_map(fn (float $value) => "{$value}", $values)), $scale,
        );
    }

    private function figure(): ?float
    {
        $expected = array_sum(array_map(fn (float $a, float $b) => $a * $b, $this->counts, $this->apart()));
        if ($expected <= 0) {
            return null;
        }
        $observed = array_sum(array_map(fn (float $a, float $b) => $a * $b, $this->weights, $this->within()));

        return 1 - (array_sum($this->counts) - 1) * $observed / $expected;
    }

    /**
     * @return array{float, float}|null
     */
    private function byShare(): ?array
    {
        $figure = $this->figure();
        $marks = $apart = 0.0;
        foreach ($this->within() as $n => $one) {
            $marks += $this->weights[$n] * count($this->units[$n]);
            $apart += $this->weights[$n] * $one;
        }
        if ($figure === null || $apart <= 0) {
            return null;
        }
        // 1 − alpha is in proportion to the share that differs.
        $between = Pairs::wilson(1 - $apart / $marks, Weights::effective($this->weights));
        $rate = (1 - $figure) / ($apart / $marks);

        return $between === null ? null : [1 - $rate * (1 - $between[0]), 1 - $rate * (1 - $between[1])];
    }

    /** Its standard error: how it changes with the weight of each script. */
    private function error(): ?float
    {
        $apart = $this->apart();
        $within = $this->within();
        $expected = array_sum(array_map(fn (float $a, float $b) => $a * $b, $this->counts, $apart));
        $observed = array_sum(array_map(fn (float $a, float $b) => $a * $b, $this->weights, $within));
        if ($expected <= 0) {
            return null;
        }
        $all = array_sum($this->counts);
        [$rankObserved, $rankExpected] = $this->scale === Scale::Ordinal ? $this->byRank() : [[], []];
        $changes = [];
        foreach ($this->units as $n => $marks) {
            [$more, $moreExpected] = [$within[$n], 0.0];
            foreach ($marks as $mark) {
                $place = $this->at["{$mark}"];
                $more += $rankObserved[$place] ?? 0.0;
                $moreExpected += 2 * $apart[$place] + ($rankExpected[$place] ?? 0.0);
            }
            $changes[] = ($all - 1) * $observed * $moreExpected / $expected ** 2
                - (count($marks) * $observed + ($all - 1) * $more) / $expected;
        }

        return Interval::error($changes, $this->weights);
    }

    /**
     * How far apart the marks of each script are: squared distances over all ordered pairs, ÷ (marks − 1).
     *
     * @return list<float>
     */
    private function within(): array
    {
        $places = $this->places();

        return array_map(function (array $marks) use ($places): float {
            $sum = 0.0;
            foreach ($marks as $i => $a) {
                foreach (array_slice($marks, $i + 1) as $b) {
                    $sum += 2 * $this->distance($places[$this->at["{$a}"]], $places[$this->at["{$b}"]]);
                }
            }

            return $sum / (count($marks) - 1);
        }, $this->units);
    }

    /**
     * The squared distance of each value to all marks that occur, as often as they do.
     *
     * @return list<float>
     */
    private function apart(): array
    {
        $places = $this->places();
        if ($this->scale !== Scale::Ratio && $this->scale !== Scale::Nominal) {
            // Σ n (x − y)² = N x² − 2 x Σ n y + Σ n y².
            $all = array_sum($this->counts);
            $sum = $squares = 0.0;
            foreach ($places as $i => $place) {
                $sum += $this->counts[$i] * $place;
                $squares += $this->counts[$i] * $place ** 2;
            }

            return array_map(fn (float $x) => max(0.0, $all * $x ** 2 - 2 * $x * $sum + $squares), $places);
        }

        return array_map(function (float $x) use ($places): float {
            $sum = 0.0;
            foreach ($places as $i => $y) {
                $sum += $this->counts[$i] * $this->distance($x, $y);
            }

            return $sum;
        }, $places);
    }

    /**
     * Where each value lies on the scale: the value itself, or for ordinal marks its mean rank. Ordinal distances are
     * those of mean ranks: the marks between two values and half of those at both.
     *
     * @return list<float>
     */
    private function places(): array
    {
        if ($this->scale !== Scale::Ordinal) {
            return $this->values;
        }
        $below = 0.0;
        $ranks = [];
        foreach ($this->counts as $count) {
            $ranks[] = $below + $count / 2;
            $below += $count;
        }

        return $ranks;
    }

    private function distance(float $a, float $b): float
    {
        return match ($this->scale) {
            Scale::Nominal => $a === $b ? 0.0 : 1.0,
            Scale::Ordinal, Scale::Interval => ($a - $b) ** 2,
            Scale::Ratio => $a + $b == 0.0 ? 0.0 : (($a - $b) / ($a + $b)) ** 2,
        };
    }

    /**
     * What one more mark of each value changes in the observed and the expected disagreement because it moves the ranks
     * of those above it by one and of those beside it by a half.
     *
     * @return array{list<float>, list<float>}
     */
    private function byRank(): array
    {
        $ranks = $this->places();
        $all = array_sum($this->counts);
        $sum = array_sum(array_map(fn (float $n, float $rank) => $n * $rank, $this->counts, $ranks));
        $observed = array_map(fn (): float => 0.0, $ranks);
        foreach ($this->units as $n => $marks) {
            foreach ($marks as $i => $a) {
                foreach ($marks as $j => $b) {
                    $place = $this->at["{$a}"];
                    $observed[$place] += $i === $j ? 0.0 : 4 * $this->weights[$n] / (count($marks) - 1)
                        * ($ranks[$place] - $ranks[$this->at["{$b}"]]);
                }
            }
        }
        $expected = array_map(
            fn (float $n, float $rank) => 4 * $n * ($all * $rank - $sum), $this->counts, $ranks,
        );

        return [self::above(array_values($observed)), self::above($expected)];
    }

    /**
     * @param  list<float>  $slopes
     * @return list<float> at each place half of its own and all of those above
     */
    private static function above(array $slopes): array
    {
        $sums = [];
        $above = 0.0;
        for ($place = count($slopes) - 1; $place >= 0; $place--) {
            $sums[$place] = $above + $slopes[$place] / 2;
            $above += $slopes[$place];
        }
        ksort($sums);

        return array_values($sums);
    }
}
