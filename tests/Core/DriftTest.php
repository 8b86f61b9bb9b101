<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use YoungHarbor\Core\Agreement\Completion;
use YoungHarbor\Core\Agreement\Drift;

/**
 * Whether marks fall within a sitting: by hand, by all permutations, and by simulation with a seed.
 */
final class DriftTest extends TestCase
{
    private Randomizer $random;

    protected function setUp(): void
    {
        $this->random = new Randomizer(new Xoshiro256StarStar(25));
    }

    public function test_sittings_end_after_an_hour_and_places_count_all_work(): void
    {
        $at = 0;
        $done = [];
        foreach ([0, 3599, 60, 3600, 60, 60, 90, 90, 4000, 10, 10, 10] as $n => $pause) {
            $at += $pause;
            $done[] = new Completion($at, 60.0 - $n, '', $n !== 1);
        }
        $drift = Drift::of($done, 1);
        self::assertSame(3, $drift->sittings);
        // The second script was late: it does not count, and the third is the third of its sitting all the same.
        self::assertSame([1, 3, 1, 2, 3, 4, 5, 1, 2, 3, 4], array_column($drift->points, 'place'));
        self::assertSame(11, $drift->marks);
    }

    public function test_slope_and_interval_are_least_squares_within_sitting_and_section(): void
    {
        // Two sittings, means apart by 20, a slope of −2 in each with two deviations of 1.
        $marks = [[60, 58, 57, 54, 52], [80, 78, 75, 74, 72]];
        $done = [];
        foreach ($marks as $sitting => $own) {
            foreach ($own as $place => $mark) {
                $done[] = new Completion($sitting * 10_000 + $place * 600, (float) $mark);
            }
        }
        $drift = Drift::of($done, 1);
        // R 4.2: m <- lm(y ~ factor(sitting) + place); coef −2.0, standard error 0.1069045, 7 degrees of freedom.
        self::assertEqualsWithDelta(-2.0, $drift->slope, 1e-9);
        self::assertEqualsWithDelta(0.1069045, $drift->se, 1e-6);
        self::assertEqualsWithDelta(-2.0 - 2.364624 * 0.1069045, $drift->interval[0] ?? 0, 1e-5);
        self::assertSame(7.0, (float) $drift->degrees);
        self::assertEqualsWithDelta(1 / 7200, $drift->p, 3e-4, 'two of 120 × 120 orders are as steep');
    }

    public function test_too_few_marks_and_marks_that_do_not_differ_say_nothing(): void
    {
        self::assertNull(Drift::of([], 1)->slope);
        self::assertNull(Drift::of(array_map(fn (int $n) => new Completion($n, 50.0), range(1, 9)), 1)->slope);
        self::assertNull(Drift::of(array_map(fn (int $n) => new Completion($n, 50.0), range(1, 20)), 1)->slope);
        self::assertNull(
            Drift::of(array_map(fn (int $n) => new Completion($n * 5000, 50.0 + $n % 7), range(1, 20)), 1)->p,
            'each script in a sitting of its own',
        );
    }

    /** S. Holm 1979: of 0.01, 0.02 and 0.04 among three 0.03, 0.04 and 0.04. */
    public function test_several_markers_share_the_alarm(): void
    {
        $shared = Drift::holm(['a' => 0.04, 'b' => 0.01, 'c' => 0.02, 'd' => 0.9]);
        self::assertEqualsWithDelta(0.04, $shared['b'], 1e-12);
        self::assertEqualsWithDelta(0.06, $shared['c'], 1e-12);
        self::assertEqualsWithDelta(0.08, $shared['a'], 1e-12);
        self::assertSame(0.9, $shared['d']);
        self::assertSame([], Drift::holm([]));
    }

    public function test_late_work_last_and_sections_in_blocks_are_not_taken_for_tiredness(): void
    {
        foreach (['late', 'blocks'] as $how) {
            $alarms = 0;
            for ($round = 0; $round < 200; $round++) {
                $alarms += Drift::of([...$this->evening(0, $how), ...$this->evening(1, $how)], $round)->p <= 0.05
                    ? 1
                    : 0;
            }
            // 5 in 100, which in 200 rounds varies by 1.5.
            self::assertGreaterThanOrEqual(3, $alarms, $how);
            self::assertLessThanOrEqual(18, $alarms, $how);
        }
    }

    public function test_a_fall_is_found_as_often_as_the_page_says(): void
    {
        $found = 0;
        $stated = 0.0;
        for ($round = 0; $round < 100; $round++) {
            $work = [];
            for ($evening = 0; $evening < 6; $evening++) {
                array_push($work, ...$this->evening($evening, '', Drift::FALL, 6));
            }
            $drift = Drift::of($work, $round);
            $found += $drift->p <= 0.05 ? 1 : 0;
            $stated += $drift->power(1) ?? 0;
        }
        self::assertEqualsWithDelta($stated / 100, $found / 100, 0.1);
        self::assertGreaterThan(0.7, $stated / 100);
    }

    public function test_the_same_seed_gives_the_same_answer(): void
    {
        $work = $this->evening(0, '');
        self::assertSame(Drift::of($work, 7)->p, Drift::of(array_reverse($work), 7)->p);
    }

    /**
     * Twenty-five scripts: late work, which is worse, at the end, or a weaker section in a block after a stronger.
     *
     * @return list<Completion>
     */
    private function evening(int $day, string $how, float $fall = 0.0, float $sd = 10): array
    {
        $done = [];
        $at = $day * 86_400;
        for ($n = 0; $n < 25; $n++) {
            $at += 900;
            $late = $how === 'late' && $n >= 20;
            $section = $how === 'blocks' ? ($n < 12 ? 'A' : 'B') : '';
            $mark = 58 + $sd * $this->normal() - $fall * $n - ($late ? 8 : 0) - ($section === 'B' ? 6 : 0);
            $done[] = new Completion($at, round(max(0.0, min(100.0, $mark))), $section, ! $late);
        }

        return $done;
    }

    private function normal(): float
    {
        $uniform = fn (): float => ($this->random->getInt(1, 1 << 30) - 0.5) / (1 << 30);

        return sqrt(-2 * log($uniform())) * cos(2 * M_PI * $uniform());
    }
}
