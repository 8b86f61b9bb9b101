<?php

declare(strict_types=1);

namespace Tests\Core;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use YoungHarbor\Core\Formats\MarksCsv;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marking\FirstMark;
use YoungHarbor\Core\Marking\Sample;
use YoungHarbor\Core\Marking\SampledScript;
use YoungHarbor\Core\Marking\SampleRule;

/**
 * Which scripts are marked a second time: on random cohorts, and the printed chance over many seeds.
 */
final class SampleTest extends TestCase
{
    public function test_two_thousand_cohorts_have_every_must_have_the_right_size_and_spread(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(16));
        for ($run = 0; $run < 2000; $run++) {
            $marks = self::cohort($random, $random->getInt(1, 120), $random->getInt(1, 9));
            $rule = self::rule($random);
            $boundaries = MarksCsv::boundaries($random->getInt(0, 1) === 1 ? '0,40,50,60,70' : '0,50,55.5,80');
            $seed = $random->getInt(0, 1 << 40);
            $sample = Sample::draw($marks, $rule, $boundaries, $seed);
            self::assertSame(self::shape($sample), self::shape(Sample::draw($marks, $rule, $boundaries, $seed)));
            $in = [];
            foreach ($sample->scripts as $one) {
                $in[$one->script] = $one;
            }
            $rest = [];
            $chosen = 0;
            foreach ($marks as $one) {
                $must = self::must($one, $rule, $boundaries);
                if ($must) {
                    $chosen++;
                    self::assertTrue(
                        ($in[$one->script] ?? null)?->chance->isEqualTo(1), "{$one->script} in run {$run}",
                    );
                    self::assertFalse($in[$one->script]->isDrawn());
                } else {
                    $rest[$one->marker][] = $one->script;
                }
            }
            $n = count($marks);
            $asked = max(
                $rule->least, (int) ceil($rule->share->toFloat() * $n - 1e-9), $rule->root ? (int) ceil(sqrt($n)) : 0,
            );
            $remaining = array_sum(array_map(count(...), $rest));
            $drawn = min($asked, $remaining);
            self::assertCount($chosen + $drawn, $sample->scripts);
            self::assertSame($drawn, $sample->drawn());
            self::assertSame($chosen + $drawn, array_sum($sample->byMarker()));
            $all = $drawn >= count($rest);
            foreach ($rest as $marker => $scripts) {
                $number = count(array_intersect($scripts, array_keys($in)));
                $part = $drawn * count($scripts) / max(1, $remaining);
                self::assertGreaterThanOrEqual($all ? 1 : 0, $number);
                // Below its part by less than one, unless others had none; above it by less than one, or it is one.
                self::assertLessThan(1, $number === 1 ? $number - max(1, $part) : $number - $part);
                self::assertLessThanOrEqual(
                    count($scripts), $number, 'more than there are',
                );
                foreach (array_intersect($scripts, array_keys($in)) as $script) {
                    self::assertTrue($in[$script]->chance->isEqualTo(BigRational::nd($number, count($scripts))));
                }
            }
        }
    }

    public function test_over_many_seeds_each_script_is_drawn_with_the_chance_that_is_printed(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(5));
        $marks = self::cohort($random, 61, 4);
        $rule = new SampleRule(BigDecimal::of('0.2'), 6, true, true, true, BigDecimal::of(1));
        $boundaries = MarksCsv::boundaries('0,40,50,60,70');
        $times = array_fill_keys(array_map(fn (FirstMark $one) => $one->script, $marks), 0);
        $printed = [];
        $runs = 3000;
        for ($seed = 0; $seed < $runs; $seed++) {
            foreach (Sample::draw($marks, $rule, $boundaries, $seed)->scripts as $one) {
                $times[$one->script]++;
                $printed[$one->script] = $one->chance->toFloat();
            }
        }
        self::assertCount(61, $printed, 'each is drawn sometimes');
        foreach ($printed as $script => $chance) {
            // Five standard errors: 61 scripts all within in 99.996 of 100 such tests.
            $error = 5 * sqrt($chance * (1 - $chance) / $runs);
            self::assertEqualsWithDelta($chance, $times[$script] / $runs, $error + 1e-9, $script);
        }
    }

    public function test_a_marker_s_drawn_scripts_lie_all_over_their_marks(): void
    {
        $marks = [];
        for ($k = 0; $k < 40; $k++) {
            $marks[] = new FirstMark("s{$k}", 'm', BigDecimal::of(41 + $k / 2));
        }
        $rule = new SampleRule(BigDecimal::of('0.1'), 4, false, false, false);
        for ($seed = 0; $seed < 50; $seed++) {
            $quarters = array_map(
                fn (SampledScript $one) => intdiv((int) substr($one->script, 1), 10),
                Sample::draw($marks, $rule, [], $seed)->scripts,
            );
            self::assertCount(4, array_unique($quarters));
        }
    }

    public function test_boundaries_belong_to_near_and_a_boundary_at_0_is_none(): void
    {
        $rule = new SampleRule(BigDecimal::zero(), 0, false, true, true, BigDecimal::of(2));
        $reasons = fn (string $mark) => array_map(
            fn ($reason) => $reason->key(),
            $rule->reasons(BigDecimal::of($mark), MarksCsv::boundaries('0,40,50,60,70')),
        );
        self::assertSame(['fail', 'near 40'], $reasons('38'));
        self::assertSame(['fail'], $reasons('37.99'));
        self::assertSame(['fail'], $reasons('1'));
        self::assertSame(['near 60'], $reasons('62'));
        self::assertSame([], $reasons('62.01'));
        self::assertSame(['top band', 'near 70'], $reasons('70'));
        self::assertSame(['near 40'], $reasons('40'));
    }

    public function test_what_the_command_line_reads_is_checked_line_by_line(): void
    {
        $faults = [];
        try {
            MarksCsv::firstMarks("script,marker,mark\ns1,m1,50\ns1,m2,40\ns2,,101\ns3,m1,\n");
        } catch (InvalidInput $e) {
            $faults = array_map(strval(...), $e->faults);
        }
        self::assertSame([
            'line 3: s1 has a mark in line 2 already; one mark a script is read',
            'line 4: marker is missing', 'line 4: mark must be a number from 0 to 100 such as 62.5, not "101"',
            'line 5: mark is missing',
        ], $faults);
        $this->expectExceptionMessage('has no column mark');
        MarksCsv::firstMarks("script,marker\ns1,m1\n");
    }

    public function test_of_a_part_as_large_a_part_is_drawn_as_of_the_whole(): void
    {
        $rule = new SampleRule(BigDecimal::of('0.25'), 4, true, false, false);
        self::assertSame([25, 13, 1, 0], [
            $rule->wantedOf(100, 100), $rule->wantedOf(50, 100), $rule->wantedOf(1, 100), $rule->wantedOf(0, 0),
        ]);
        self::assertTrue(Sample::chanceInAll(3, 9)->isEqualTo('1/4'));
    }

    public function test_an_empty_cohort_is_refused(): void
    {
        $this->expectException(InvalidInput::class);
        Sample::draw([], SampleRule::usual(), [], 1);
    }

    /**
     * @return list<string>
     */
    private static function shape(Sample $sample): array
    {
        return array_map(
            fn (SampledScript $one) => $one->script.implode(',', $one->reasonKeys()).$one->chance, $sample->scripts,
        );
    }

    /**
     * @return list<FirstMark>
     */
    private static function cohort(Randomizer $random, int $scripts, int $markers): array
    {
        $marks = [];
        for ($k = 0; $k < $scripts; $k++) {
            $marks[] = new FirstMark(
                "s{$k}", 'm'.$random->getInt(1, $markers), BigDecimal::of($random->getInt(250, 850))->dividedBy(10, 1),
            );
        }

        return $marks;
    }

    private static function rule(Randomizer $random): SampleRule
    {
        return new SampleRule(
            BigDecimal::of($random->getInt(0, 40))->dividedBy(100, 2), $random->getInt(0, 12),
            $random->getInt(0, 1) === 1, $random->getInt(0, 1) === 1, $random->getInt(0, 1) === 1,
            $random->getInt(0, 1) === 1 ? BigDecimal::of($random->getInt(0, 3)) : null,
        );
    }

    /**
     * @param  list<BigDecimal>  $boundaries
     */
    private static function must(FirstMark $one, SampleRule $rule, array $boundaries): bool
    {
        $mark = $one->mark->toFloat();
        $at = array_map(fn (BigDecimal $boundary) => $boundary->toFloat(), $boundaries);
        $near = array_filter(
            $at,
            fn (float $boundary) => $rule->near !== null && abs($mark - $boundary) <= $rule->near->toFloat() + 1e-9,
        );

        return ($rule->fails && $mark < $at[0]) || ($rule->top && $mark >= max($at)) || $near !== [];
    }
}
