<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use YoungHarbor\Core\Agreement\Intraclass;
use YoungHarbor\Core\Agreement\Kappa;
use YoungHarbor\Core\Agreement\MarkedScript;
use YoungHarbor\Core\Agreement\MarkerEffects;
use YoungHarbor\Core\Agreement\Report;
use YoungHarbor\Core\Agreement\Severity;
use YoungHarbor\Core\Agreement\Spread;
use YoungHarbor\Core\Statistics\FisherF;

/**
 * Intervals of figures on agreement: against other programs' values, and how often they hold what they promise, by
 * simulation with a seed.
 */
final class IntervalsTest extends TestCase
{
    private Randomizer $random;

    protected function setUp(): void
    {
        $this->random = new Randomizer(new Xoshiro256StarStar(1979));
    }

    /** R 4.2: qf(0.975, 5, 18), qf(0.975, 18.5, 5), qf(0.95, 5, 18). */
    public function test_quantiles_of_f_are_those_of_r(): void
    {
        self::assertEqualsWithDelta(3.381968, FisherF::quantile(0.975, 5, 18), 1e-6);
        self::assertEqualsWithDelta(6.352903, FisherF::quantile(0.975, 18.5, 5), 1e-6);
        self::assertEqualsWithDelta(2.772853, FisherF::quantile(0.95, 5, 18), 1e-6);
        self::assertSame(0.0, FisherF::cdf(0, 3, 4));
    }

    /**
     * The standard errors of Fleiss, Cohen and Everitt 1969, worked out in R 4.2 from their formula for a table of
     * three bands, times √(n ÷ (n − 1)).
     */
    public function test_the_error_of_kappa_is_the_published_one(): void
    {
        $pairs = [];
        foreach ([[53, 5, 2], [11, 14, 5], [1, 6, 3]] as $row => $columns) {
            foreach ($columns as $column => $n) {
                array_push($pairs, ...array_fill(0, $n, [$row, $column]));
            }
        }
        $even = array_fill(0, 100, 1.0);
        self::assertEqualsWithDelta(0.4285714, Kappa::of($pairs, $even, false), 1e-7);
        self::assertEqualsWithDelta(0.0763415, Kappa::error($pairs, $even, false), 1e-7);
        self::assertEqualsWithDelta(0.5666667, Kappa::of($pairs, $even, true), 1e-7);
        self::assertEqualsWithDelta(0.0791207, Kappa::error($pairs, $even, true), 1e-7);
        self::assertNull(Kappa::interval([[0, 0], [1, 1]], [1.0, 1.0], false), 'full agreement has no interval');
    }

    /** Intervals of the data of Shrout and Fleiss 1979 as statistics programs print them; from memory. */
    public function test_intervals_of_intraclass_correlations_are_the_known_ones(): void
    {
        $rows = [[9, 2, 5, 8], [6, 1, 3, 2], [8, 4, 6, 8], [7, 1, 2, 6], [10, 5, 6, 9], [6, 2, 4, 7]];
        $icc = Intraclass::of(array_map(fn (array $row, int $n) => new MarkedScript(
            "s{$n}", array_combine(['a', 'b', 'c', 'd'], array_map(floatval(...), $row)),
        ), $rows, array_keys($rows)));
        foreach (
            [
                'ICC1' => [-0.133, 0.723], 'ICC2' => [0.019, 0.761], 'ICC3' => [0.342, 0.946],
                'ICC1k' => [-0.884, 0.912], 'ICC2k' => [0.071, 0.927], 'ICC3k' => [0.676, 0.986],
            ] as $key => [$low, $high]
        ) {
            self::assertEqualsWithDelta($low, $icc->intervals[$key][0], 0.0006, $key);
            self::assertEqualsWithDelta($high, $icc->intervals[$key][1], 0.0006, $key);
        }
    }

    public function test_they_hold_as_often_as_they_say(): void
    {
        $true = $this->figures(Report::of($this->cohort(40_000), [40.0, 50.0, 60.0, 70.0], 5));
        foreach ([10 => [0.93, 0.97, ['mean_difference', 'ICC1', 'ICC3', 'ICC1k']], 30 => [0.90, 0.985, [
            'kappa', 'kappa_weighted', 'alpha_nominal', 'alpha_ordinal', 'alpha_interval', 'alpha_ratio',
        ]]] as $pairs => [$least, $most, $keys]) {
            $held = array_fill_keys($keys, 0);
            for ($round = 0; $round < 400; $round++) {
                $report = Report::of($this->cohort($pairs), [40.0, 50.0, 60.0, 70.0], 5);
                foreach ($keys as $key) {
                    [$low, $high] = $report->intervals[$key] ?? [-9.0, 9.0];
                    $held[$key] += $low <= $true[$key] && $true[$key] <= $high ? 1 : 0;
                }
            }
            foreach ($held as $key => $times) {
                // Of 400 rounds the share itself varies by 0.011.
                self::assertGreaterThanOrEqual($least - 0.022, $times / 400, "{$key} from {$pairs} pairs");
                self::assertLessThanOrEqual($most + 0.022, $times / 400, "{$key} from {$pairs} pairs");
            }
        }
        self::assertArrayNotHasKey('kappa', Report::of($this->cohort(29), [40.0, 60.0], 5)->intervals, 'too few');
        self::assertArrayNotHasKey('ICC1', Report::of($this->cohort(9), [40.0, 60.0], 5)->intervals, 'too few');
    }

    /** Scripts chosen for their first mark mislead; weighted by 1 over their chance they speak for the cohort. */
    public function test_a_weighted_sample_agrees_with_the_whole_cohort(): void
    {
        $lies = ['m0' => 5.0, 'm1' => 0.0, 'm2' => -2.0, 'm3' => -3.0];
        $held = $sums = [];
        for ($round = 0; $round < 100; $round++) {
            [$all, $sample] = $this->sampled($lies);
            $whole = Report::of($all, [40.0, 50.0, 60.0, 70.0], 5);
            $part = Report::of($sample, [40.0, 50.0, 60.0, 70.0], 5);
            $of = $this->figures($whole);
            foreach (['mean_difference', 'kappa_weighted', 'alpha_interval', 'ICC1'] as $key) {
                [$low, $high] = $part->intervals[$key];
                $held[$key] = ($held[$key] ?? 0) + ($low <= $of[$key] && $of[$key] <= $high ? 1 : 0);
            }
            $drawn = MarkerEffects::of(array_values(array_filter($sample, fn (MarkedScript $one) => $one->weight > 1)));
            $sums['weighted'] = ($sums['weighted'] ?? 0.0) + $part->effects->markers['m0']['effect'];
            $sums['without the chosen'] = ($sums['without the chosen'] ?? 0.0) + $drawn->markers['m0']['effect'];
            [$low, $high] = $part->effects->markers['m0']['interval'] ?? [0.0, 0.0];
            $held['the true lie'] = ($held['the true lie'] ?? 0) + ($low <= 5.0 && $high >= 5.0 ? 1 : 0);
        }
        foreach ($held as $key => $times) {
            self::assertGreaterThanOrEqual(88, $times, $key);
        }
        self::assertEqualsWithDelta(5.0, $sums['weighted'] / 100, 0.2);
        self::assertLessThan(4.85, $sums['without the chosen'] / 100);
    }

    public function test_spread_is_the_ratio_of_paired_deviations(): void
    {
        // By hand: b has twice the deviation of a, and goes with it but for one swap.
        $a = [50.0, 52.0, 54.0, 56.0, 58.0, 60.0, 62.0, 64.0, 66.0, 68.0];
        $b = [40.0, 44.0, 48.0, 52.0, 60.0, 56.0, 64.0, 68.0, 72.0, 76.0];
        $spread = Spread::of(array_map(
            fn (float $x, float $y, int $n) => new MarkedScript("s{$n}", ['a' => $x, 'b' => $y]), $a, $b,
            array_keys($a),
        ), 'b');
        self::assertEqualsWithDelta(2.0, $spread->ratio, 1e-12);
        self::assertNotNull($spread->interval);
        self::assertGreaterThan(1.5, $spread->interval[0]);
        self::assertEqualsWithDelta(
            4.0, $spread->interval[0] * $spread->interval[1], 1e-9, 'even on a scale of ratios',
        );
        self::assertNull(Spread::of([], 'b')->ratio);
        self::assertNull(Spread::of(array_fill(0, 12, new MarkedScript('s', ['a' => 50.0, 'b' => 50.0])), 'b')->ratio);
    }

    public function test_an_uncertain_severity_is_drawn_towards_none(): void
    {
        [$all] = $this->sampled(['m0' => 6.0, 'm1' => 0.0, 'm2' => -1.0, 'm3' => -5.0]);
        $effects = MarkerEffects::of($all);
        $severity = Severity::of($effects, 'm0');
        self::assertNotNull($severity);
        // By the formula: part = t² ÷ (t² + s²), t² = Σ (e² − s²) ÷ 3.
        $between = array_sum(array_map(
            fn (array $one) => $one['effect'] ** 2 - (float) $one['se'] ** 2, $effects->markers,
        )) / 3;
        self::assertEqualsWithDelta($between / ($between + $severity->se ** 2), $severity->part, 1e-9);
        self::assertEqualsWithDelta(
            -$severity->effect * $severity->part, (float) $severity->correction(), 0.0501, 'to a tenth',
        );
        $few = MarkerEffects::of(array_slice($all, 0, 40));
        self::assertLessThan(
            $severity->part, Severity::of($few, 'm0')->part ?? 0.0, 'fewer scripts, less is taken for true',
        );
        self::assertNull(Severity::of(MarkerEffects::of(array_map(
            fn (int $n) => new MarkedScript("s{$n}", ['a' => 50.0 + $n, 'b' => 55.0 + $n % 2]), range(0, 9),
        )), 'a'), 'two markers do not say how markers differ');
    }

    /**
     * @return list<MarkedScript>
     */
    private function cohort(int $scripts): array
    {
        return array_map(function (int $n): MarkedScript {
            $true = 58 + 10 * $this->normal();

            return new MarkedScript("s{$n}", [
                'a' => $this->mark($true + 2 + 5 * $this->normal()), 'b' => $this->mark($true + 5 * $this->normal()),
            ]);
        }, range(1, $scripts));
    }

    /**
     * A cohort of 400, every script marked twice, and a sample of it: fails, tops and marks near a boundary chosen, a
     * quarter of the rest drawn marker by marker.
     *
     * @param  array<string, float>  $lies
     * @return array{list<MarkedScript>, list<MarkedScript>}
     */
    private function sampled(array $lies): array
    {
        $markers = array_keys($lies);
        $all = $sample = $rest = [];
        for ($n = 0; $n < 400; $n++) {
            $true = 58 + 9 * $this->normal();
            $first = $markers[$n % 4];
            $second = $markers[($n + 1 + intdiv($n, 4) % 3) % 4];
            $marks = [];
            foreach ([$first, $second] as $marker) {
                $marks[$marker] = $this->mark($true + $lies[$marker] + 5 * $this->normal());
            }
            $all[] = new MarkedScript("s{$n}", $marks);
            $near = min(array_map(fn (float $line) => abs($marks[$first] - $line), [40.0, 50.0, 60.0, 70.0])) <= 1;
            $near || $marks[$first] < 40 || $marks[$first] >= 70 ? $sample[] = $all[$n] : $rest[$first][] = $n;
        }
        foreach ($rest as $own) {
            $take = (int) ceil(count($own) / 4);
            foreach (array_slice($this->random->shuffleArray($own), 0, $take) as $n) {
                $sample[] = new MarkedScript("s{$n}", $all[$n]->marks, count($own) / $take);
            }
        }

        return [$all, $sample];
    }

    /**
     * @return array<string, float|null>
     */
    private function figures(Report $report): array
    {
        return [...$report->figures, ...$report->icc->figures];
    }

    private function mark(float $mark): float
    {
        return round(max(0.0, min(100.0, $mark)));
    }

    private function normal(): float
    {
        $uniform = fn (): float => ($this->random->getInt(1, 1 << 30) - 0.5) / (1 << 30);

        return sqrt(-2 * log($uniform())) * cos(2 * M_PI * $uniform());
    }
}
