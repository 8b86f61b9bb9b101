<?php

declare(strict_types=1);

namespace Tests\Core;

use Brick\Math\BigDecimal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use YoungHarbor\Core\Agreement\Alpha;
use YoungHarbor\Core\Agreement\MarkedScript;
use YoungHarbor\Core\Agreement\Scale;
use YoungHarbor\Core\Formats\PeerMarksCsv;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Peers\AmongReviewers;
use YoungHarbor\Core\Peers\CombinedMark;
use YoungHarbor\Core\Peers\Combining;
use YoungHarbor\Core\Peers\Method;
use YoungHarbor\Core\Peers\PeerMark;
use YoungHarbor\Core\Peers\Reliability;

/**
 * Peers' marks of one script combined: exactly, and by how reliable each reviewer was.
 */
final class PeersTest extends TestCase
{
    /**
     * @return list<PeerMark>
     */
    private function marks(string $script, string ...$marks): array
    {
        return array_map(
            fn (string $mark, int $n) => new PeerMark("r{$n}", $script, BigDecimal::of($mark)), array_values($marks),
            array_keys(array_values($marks)),
        );
    }

    private function exact(Method $method, string ...$marks): CombinedMark
    {
        return Combining::exact(['s' => $this->marks('s', ...$marks)], $method, 1)[0];
    }

    public function test_median_mean_and_trimmed_mean_to_the_digit_by_hand(): void
    {
        foreach (
            [
                [Method::Median, ['58', '62', '64', '35'], '60.0'], [Method::Median, ['58', '62', '64'], '62.0'],
                [Method::Mean, ['58', '62', '64', '35'], '54.8'], [Method::Mean, ['58'], '58.0'],
                // 4 ÷ 4 = 1 off each end; 3 ÷ 4 = 0; 8 ÷ 4 = 2.
                [Method::Trimmed, ['58', '62', '64', '35'], '60.0'], [Method::Trimmed, ['1', '2', '6'], '3.0'],
                [Method::Trimmed, ['0', '10', '20', '30', '40', '50', '60', '100'], '35.0'],
                // 60.25 is rounded half up once, and 60.05 ÷ … is exact before it.
                [Method::Mean, ['60', '60.5'], '60.3'], [Method::Mean, ['0.1', '0.2', '0.15'], '0.2'],
            ] as [$method, $marks, $expected]
        ) {
            self::assertSame($expected, (string) $this->exact($method, ...$marks)->mark, implode(' ', $marks));
        }
        $trimmed = $this->exact(Method::Trimmed, '58', '62', '64', '35');
        self::assertEquals(['r0' => 2.0, 'r1' => 2.0, 'r2' => 0.0, 'r3' => 0.0], $trimmed->weights);
        self::assertNull($trimmed->low);
    }

    public function test_a_reviewer_s_bias_is_taken_off_and_a_careless_one_weighs_less(): void
    {
        $dice = new Randomizer(new Mt19937(3));
        $peers = [];
        for ($s = 0; $s < 24; $s++) {
            foreach (['a' => [0, 2], 'b' => [8, 2], 'c' => [-6, 2], 'd' => [0, 20]] as $r => [$bias, $spread]) {
                $mark = 50 + $s + $bias + $spread * ($dice->getInt(-1000, 1000) / 577);
                $peers[] = new PeerMark(
                    $r, "s{$s}", BigDecimal::of(number_format(max(0, min(100, $mark)), 1, '.', '')),
                );
            }
        }
        $found = Reliability::of($peers, [], 1);
        $by = array_column($found['reviewers'], null, 'reviewer');
        self::assertGreaterThan(5, $by['b']['bias'] - $by['a']['bias']);
        self::assertLessThan(-3, $by['c']['bias'] - $by['a']['bias']);
        self::assertGreaterThan(3 * $by['a']['sd'], $by['d']['sd']);
        foreach ($found['marks'] as $one) {
            self::assertEqualsWithDelta(1.0, array_sum($one->weights) / count($one->weights), 1e-9);
            self::assertLessThan(0.5, $one->weights['d']);
            self::assertTrue($one->low <= $one->mark->toFloat() && $one->mark->toFloat() <= $one->high);
        }
        self::assertEquals($found, Reliability::of($peers, [], 1), 'the same input gives the same answer');
    }

    public function test_known_marks_say_how_reviewers_mark(): void
    {
        // Everybody marks 10 too high: without a fixed point nothing can tell.
        $peers = [];
        for ($s = 0; $s < 12; $s++) {
            for ($k = 0; $k < 4; $k++) {
                $peers[] = new PeerMark('r'.(($s + $k) % 12), "s{$s}", BigDecimal::of(60 + $s + ($s * 7 + $k * 5) % 3));
            }
        }
        $mean = fn (array $known): float => array_sum(array_map(
            fn (CombinedMark $one) => $one->mark->toFloat(), Reliability::of($peers, $known, 1)['marks'],
        )) / 12;
        $known = [];
        for ($s = 0; $s < 6; $s++) {
            $known["s{$s}"] = 51.0 + $s;
        }
        self::assertEqualsWithDelta(66.5, $mean([]), 0.5);
        self::assertLessThan(60, $mean($known));
    }

    /**
     * @return array<string, array{int, int, list<int>, float, float|null, float, float, float}> scripts, marks each, SDs
     *     and bias of reviewers, what a coalition of a fifth adds; the most its error may be of that of the mean, and
     *     how often intervals are to hold the mark, in 100
     */
    public static function scenarios(): array
    {
        return [
            'mixed reviewers, four each' => [60, 4, [3, 6, 16], 6.0, null, 0.9, 93.0, 97.0],
            'alike, no bias' => [60, 4, [8], 0.0, null, 1.02, 90.0, 98.5],
            'alike, biased' => [60, 4, [8], 6.0, null, 1.02, 90.0, 98.5],
            'two each' => [60, 2, [3, 6, 16], 6.0, null, 1.02, 90.0, 98.5],
            'three each' => [60, 3, [3, 6, 16], 6.0, null, 1.02, 90.0, 98.5],
            'six each' => [60, 6, [3, 6, 16], 6.0, null, 1.02, 90.0, 98.5],
            'a small cohort' => [20, 4, [3, 6, 16], 6.0, null, 1.02, 90.0, 98.5],
            'a coalition of a fifth' => [60, 4, [6], 4.0, 15.0, 1.02, 90.0, 98.5],
        ];
    }

    /**
     * @param  list<int>  $spreads
     */
    #[DataProvider('scenarios')]
    public function test_simulated_cohorts_have_no_more_error_than_the_mean_and_intervals_that_hold(
        int $scripts, int $each, array $spreads, float $bias, ?float $friend, float $most, float $least, float $atMost,
    ): void {
        $dice = new Randomizer(new Mt19937(20));
        $uniform = fn (): float => ($dice->getInt(1, 1 << 30) - 0.5) / (1 << 30);
        $normal = fn (): float => sqrt(-2 * log($uniform())) * cos(2 * M_PI * $uniform());
        $ours = $means = $held = $all = 0;
        for ($n = 0; $n < ($scripts < 60 ? 40 : 24); $n++) {
            $true = $peers = $sums = [];
            for ($i = 0; $i < $scripts; $i++) {
                $true[$i] = 60 + 10 * $normal();
            }
            $reviewers = array_map(
                fn () => [$bias * $normal(), $spreads[$dice->getInt(0, count($spreads) - 1)]], range(1, $scripts),
            );
            $places = $dice->shuffleArray(range(0, $scripts - 1));
            foreach ($dice->pickArrayKeys(array_fill(1, $scripts - 1, true), $each) as $away) {
                foreach ($places as $at => $r) {
                    $s = $places[($at + $away) % $scripts];
                    $mark = $true[$s] + $reviewers[$r][0] + $reviewers[$r][1] * $normal();
                    $mark += $friend !== null && $r % 5 === 0 && $s % 5 === 0 ? $friend : 0;
                    $sums[$s] = ($sums[$s] ?? 0) + $mark;
                    $peers[] = new PeerMark("r{$r}", "s{$s}", BigDecimal::of(number_format($mark, 3, '.', '')));
                }
            }
            assert($peers !== []);
            foreach (Reliability::of($peers, [], 3)['marks'] as $one) {
                $s = (int) substr($one->script, 1);
                $ours += ($one->mark->toFloat() - $true[$s]) ** 2;
                $means += ($sums[$s] / $each - $true[$s]) ** 2;
                $held += $one->low <= $true[$s] && $true[$s] <= $one->high ? 1 : 0;
                $all++;
            }
        }
        self::assertLessThanOrEqual($most, sqrt($ours / $means));
        self::assertGreaterThanOrEqual($least, 100 * $held / $all);
        self::assertLessThanOrEqual($atMost, 100 * $held / $all);
    }

    public function test_how_alike_reviewers_of_a_work_mark(): void
    {
        $works = [];
        foreach ([[60, 64], [50, 50], [71, 70, 75], [40, 48], [66, 60], [58, 61], [80, 77], [45, 52]] as $n => $marks) {
            $works[] = new MarkedScript("w{$n}", array_map(floatval(...), $marks));
        }
        $one = new MarkedScript('one', [12.0]);
        $found = AmongReviewers::of([...$works, $one]);
        // By hand: 4, 0, (1 + 4 + 5) ÷ 3, 8, 6, 3, 3, 7, and those by 8.
        self::assertSame(8, $found->works);
        self::assertEqualsWithDelta((4 + 0 + 10 / 3 + 8 + 6 + 3 + 3 + 7) / 8, $found->apart, 1e-9);
        self::assertSame(Alpha::of($works, Scale::Interval), $found->alpha);
        self::assertNull($found->interval, 'too few for one');
        self::assertNull(AmongReviewers::of(array_slice($works, 1))->apart);
        $many = array_map(fn (int $n) => new MarkedScript("m{$n}", [40.0 + $n, 43.0 + $n % 7 + $n]), range(1, 30));
        $interval = AmongReviewers::of($many)->interval;
        self::assertNotNull($interval);
        $alpha = AmongReviewers::of($many)->alpha;
        self::assertTrue($interval[0] < $alpha && $alpha < $interval[1]);
    }

    public function test_what_a_coalition_of_a_fifth_moves_is_printed_for_each_method(): void
    {
        $dice = new Randomizer(new Mt19937(21));
        $uniform = fn (): float => ($dice->getInt(1, 1 << 30) - 0.5) / (1 << 30);
        $normal = fn (): float => sqrt(-2 * log($uniform())) * cos(2 * M_PI * $uniform());
        $moved = array_fill_keys(['median', 'mean', 'trimmed', 'reliability'], 0);
        $of = 0;
        for ($n = 0; $n < 12; $n++) {
            $both = [[], []];
            $biases = array_map(fn () => 4 * $normal(), range(0, 59));
            $places = $dice->shuffleArray(range(0, 59));
            for ($i = 0; $i < 60; $i++) {
                $true = 60 + 10 * $normal();
                foreach ([1, 2, 3, 4] as $away) {
                    [$s, $r] = [$places[$i], $places[($i + $away) % 60]];
                    $mark = $true + $biases[$r] + 6 * $normal();
                    foreach ([0, 15] as $k => $friend) {
                        $given = max(0, min(100, $mark + ($r % 5 === 0 && $s % 5 === 0 ? $friend : 0)));
                        $both[$k][] = new PeerMark("r{$r}", "s{$s}", BigDecimal::of(number_format($given, 3, '.', '')));
                    }
                }
            }
            $found = array_map($this->everyWay(...), $both);
            foreach ($found[0] as $way => $marks) {
                foreach ($marks as $script => $mark) {
                    $moved[$way] += (int) substr($script, 1) % 5 === 0 && $found[1][$way][$script] - $mark > 5 ? 1 : 0;
                }
            }
            $of += 12;
        }
        $share = array_map(fn (int $many) => sprintf('%.0f %%', 100 * $many / $of), $moved);
        echo "\n  a fifth mark each other 15 up; scripts of theirs moved by more than 5 marks: ".implode(', ', array_map(
            fn (string $way, string $one) => "{$way} {$one}", array_keys($share), $share,
        ))."\n";
        self::assertGreaterThan(0, $moved['mean'], 'the coalition shows');
        self::assertLessThan(0.35 * $of, max($moved));
    }

    /**
     * @param  list<PeerMark>  $peers
     * @return array<string, array<string, float>> by method and script
     */
    private function everyWay(array $peers): array
    {
        assert($peers !== []);
        $by = $found = [];
        foreach ($peers as $one) {
            $by[$one->script][] = $one;
        }
        foreach ([Method::Median, Method::Mean, Method::Trimmed] as $method) {
            foreach (Combining::exact($by, $method, 3) as $one) {
                $found[$method->value][$one->script] = $one->mark->toFloat();
            }
        }
        foreach (Reliability::of($peers, [], 3)['marks'] as $one) {
            $found['reliability'][$one->script] = $one->mark->toFloat();
        }

        return $found;
    }

    public function test_a_table_says_what_is_wrong_with_it_line_by_line_and_trials_are_apart(): void
    {
        $faults = function (string $text): array {
            try {
                PeerMarksCsv::read($text);
            } catch (InvalidInput $e) {
                return array_map(fn (Fault $fault) => (string) $fault, $e->faults);
            }
            self::fail('taken');
        };
        self::assertSame([
            'line 2: mark must be a number from 0 to 100, not "101"',
            'line 3: kind must be peer, staff or trial, not "x"',
            'line 5: stands in line 4 already', 'line 6: reviewer is missing',
            'line 7: the known mark of a trial script has no reviewer',
        ], $faults("reviewer,script,mark,kind\na,s,101,\na,s,1,x\nb,s,1,peer\nb,s,2,\n,s,3,peer\na,t,4,trial\n"));
        self::assertSame(['csv: has no column mark'], $faults("reviewer,script\na,s\n"));
        self::assertSame(['csv: there is no mark of a peer'], $faults("reviewer,script,mark,kind\nm,s,50,staff\n"));
        $table = PeerMarksCsv::read(
            "reviewer,script,mark,kind\na,s,60,\na,t,70,\n,t,62,trial\nm,s,50,staff\nn,s,54,staff\n"
        );
        self::assertSame(['s'], array_keys($table->byScript()));
        self::assertSame(['t' => 62.0, 's' => 52.0], $table->known);
    }
}
