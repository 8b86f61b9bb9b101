<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use YoungHarbor\Core\Allocation\GivenScript;
use YoungHarbor\Core\Allocation\Marker;
use YoungHarbor\Core\Allocation\MarkerPlan;
use YoungHarbor\Core\Allocation\PeerPlan;
use YoungHarbor\Core\Allocation\SectionFilters;
use YoungHarbor\Core\Allocation\UnplacedMark;
use YoungHarbor\Core\Allocation\WhyUnplaced;
use YoungHarbor\Core\Allocation\Work;
use YoungHarbor\Core\Formats\PlanJson;
use YoungHarbor\Core\Input\InvalidInput;

final class AllocationTest extends TestCase
{
    public function test_with_no_rules_loads_are_even_and_every_pair_of_markers_is_linked_alike(): void
    {
        $plan = MarkerPlan::make(self::works(48), self::markers(4), 4417, 2);
        foreach ($plan->loads as $load) {
            self::assertSame(['first' => 12, 'second' => 12, 'third' => 0], $load->parts);
            self::assertTrue($load->fair->isEqualTo(24));
        }
        foreach ($plan->common() as $marker => $others) {
            unset($others[$marker]);
            self::assertSame([8], array_values(array_unique($others)), '48 scripts over 6 pairs');
        }
    }

    public function test_the_same_seed_gives_the_same_plan_and_another_one_another(): void
    {
        $plan = fn (int $seed): array => MarkerPlan::make(self::works(23), self::markers(4), $seed, 2)->given;
        self::assertEquals($plan(1), $plan(1));
        self::assertNotEquals($plan(1), $plan(2));
    }

    /**
     * Two thousand plans of every shape: each keeps the rules, places what can be placed, and lies less than one script
     * from every fair share whenever a plan does (checked where all can be tried: below).
     */
    public function test_two_thousand_plans_keep_every_rule(): void
    {
        mt_srand(20261126);
        $placed = 0;
        for ($n = 0; $n < 2000; $n++) {
            [$works, $markers, $perScript, $second, $keep] = self::anyCase(1 + $n % 40, 3 + $n % 6, 3);
            $plan = MarkerPlan::make($works, $markers, $n, $perScript, $second, $keep);
            $byScript = [];
            foreach ($plan->given as $one) {
                $byScript[$one->script][$one->part] = $one->marker;
            }
            $unplaced = [];
            foreach ($plan->unplaced as $one) {
                $unplaced[$one->script][$one->part] = $one->why;
            }
            $groups = [];
            $seconds = 0;
            foreach ($works as $work) {
                $may = array_filter($markers, fn (Marker $marker) => $marker->mayHave($work));
                $has = $byScript[$work->id] ?? [];
                self::assertSame(count($has), count(array_unique($has)), 'nobody marks a script twice');
                self::assertSame(
                    [], array_diff($has, array_map(fn (Marker $marker) => $marker->id, $may)),
                    'never an author, a conflict or another section',
                );
                self::assertSame([], array_intersect($has, $work->authors));
                self::assertSame([], array_intersect_key($has, $unplaced[$work->id] ?? []));
                $seconds += isset($has['second']) ? 1 : 0;
                $placed += count($has);
                if (! $keep) {
                    self::assertSame(
                        $may !== [], isset($has['first']), 'placed when there is someone, and told when not',
                    );
                    if ($second === null) {
                        self::assertCount(min($perScript, count($may)), $has);
                        self::assertCount($perScript - count($has), $unplaced[$work->id] ?? []);
                    }
                } elseif ($work->group !== null && isset($has['first'])) {
                    $groups[$work->group][] = $has['first'];
                }
            }
            foreach ($groups as $group) {
                self::assertCount(1, array_unique($group), 'a group stays together');
            }
            if ($second !== null) {
                self::assertSame(
                    (int) ceil(round((float) $second * count($works), 6)),
                    $seconds + count(array_filter($plan->unplaced, fn (UnplacedMark $one) => $one->part === 'second')),
                );
            }
        }
        self::assertGreaterThan(40_000, $placed);
    }

    public function test_small_cases_are_as_even_as_any_plan_can_be(): void
    {
        mt_srand(7);
        $tight = 0;
        for ($n = 0; $n < 250; $n++) {
            [$works, $markers] = self::anyCase(2 + $n % 6, 2 + $n % 2, 1);
            $plan = MarkerPlan::make($works, $markers, $n);
            $loads = array_map(fn (int $number) => $plan->loads[$number]->parts['first'], array_keys($markers));
            [$best, $withinOne] = self::tryAll($works, $markers, $plan);
            self::assertEqualsWithDelta($best, self::cost($loads, $plan), 1e-9);
            if ($withinOne) {
                self::assertTrue(
                    self::isWithinOne($loads, $plan), 'less than one script from every fair share, since some plan is',
                );
            }
            $tight += (int) ! $withinOne;
        }
        self::assertGreaterThan(20, $tight, 'cases where the rules do not allow it are among them');
    }

    public function test_pairs_in_small_cases_are_linked_as_evenly_as_any_exchange_of_second_markers_allows(): void
    {
        mt_srand(11);
        $missed = 0;
        for ($n = 0; $n < 40; $n++) {
            [$works, $markers] = self::anyCase(5, 4, 1);
            $plan = MarkerPlan::make($works, $markers, $n, 2);
            $first = $second = [];
            foreach ($plan->given as $one) {
                $one->part === 'first' ? $first[$one->script] = $one->marker : $second[$one->script] = $one->marker;
            }
            $loads = array_count_values($second);
            ksort($loads);
            $missed += (int) (self::leastSquares($works, $markers, $first, $loads) !== self::squares($first, $second));
        }
        self::assertLessThanOrEqual(1, $missed, 'the mixing stops where no exchange and no ring of exchanges helps');
    }

    public function test_agreed_shares_are_kept_to_the_script(): void
    {
        $plan = MarkerPlan::make(
            self::works(100), [Marker::of('full', '1'), Marker::of('half', '0.5'), Marker::of('away', '0')], 3,
        );
        self::assertSame([67, 33, 0], array_map(fn ($load) => $load->given(), $plan->loads));
    }

    public function test_what_is_begun_stays_and_counts(): void
    {
        $kept = [
            new GivenScript('s1', 'm1', 'first'), new GivenScript('s2', 'm1', 'first'),
            new GivenScript('s3', 'gone', 'first'),
            new GivenScript('s3', 'm2', 'second'), new GivenScript('old', 'm1', 'first'),
        ];
        $plan = MarkerPlan::make(self::works(9), self::markers(2), 5, 2, null, false, $kept);
        $first = array_filter($plan->given, fn (GivenScript $one) => $one->part === 'first');
        self::assertSame(
            ['s4', 's5', 's6', 's7', 's8', 's9'],
            array_values(array_map(fn (GivenScript $one) => $one->script, $first)),
        );
        // Nine first marks of the two, three of them with m1 already.
        self::assertEqualsCanonicalizing([5, 4], array_map(fn ($load) => $load->parts['first'], $plan->loads));
        self::assertNotContains(
            's3', array_map(fn (GivenScript $one) => $one->part === 'second' ? $one->script : '', $plan->given),
        );
    }

    public function test_a_script_nobody_may_have_is_told_with_the_reason(): void
    {
        $plan = MarkerPlan::make(
            [new Work('s1', 'A', null, ['u1']), new Work('s2', 'B', null, ['u2'])],
            [Marker::of('m1', '1', ['A'], ['u1']), Marker::of('m2', '1', ['A'])], 1, 2,
        );
        self::assertEquals([
            new UnplacedMark('s2', 'first', WhyUnplaced::NobodyLeft, ['markers' => 2, 'section' => 2]),
            new UnplacedMark(
                's1', 'second', WhyUnplaced::NobodyLeft, ['markers' => 2, 'conflict' => 1, 'marks-it' => 1],
            ),
            new UnplacedMark('s2', 'second', WhyUnplaced::NobodyLeft, ['markers' => 2, 'section' => 2]),
        ], $plan->unplaced);
    }

    public function test_groups_stay_together_and_their_spread_is_told(): void
    {
        $works = array_map(fn (int $n) => new Work("s{$n}", null, 'g'.intdiv($n, 4)), range(0, 23));
        $plan = MarkerPlan::make($works, self::markers(3), 9, 2, null, true);
        self::assertSame([8, 8, 8], array_map(fn ($load) => $load->parts['first'], $plan->loads));
        self::assertSame(
            ['Groups stay together with their first marker: loads lie from 0 to 0 scripts beside the fair shares.'],
            $plan->notes,
        );
        // Packing 7, 6, 5, 4, 3 over two markers: 13 and 12 is the best there is.
        $works = [];
        foreach ([7, 6, 5, 4, 3] as $group => $size) {
            for ($n = 0; $n < $size; $n++) {
                $works[] = new Work("{$group}.{$n}", null, "g{$group}");
            }
        }
        self::assertEqualsCanonicalizing(
            [13, 12],
            array_map(
                fn ($load) => $load->given(), MarkerPlan::make($works, self::markers(2), 2, 1, null, true)->loads,
            ),
        );
    }

    #[DataProvider('refused')]
    public function test_what_cannot_be_planned_is_refused(
        string $why, array $scripts, array $markers, int $perScript, ?string $second,
    ): void {
        $this->expectException(InvalidInput::class);
        $this->expectExceptionMessage($why);
        MarkerPlan::make($scripts, $markers, 1, $perScript, $second);
    }

    /**
     * @return array<string, array{string, list<Work>, list<Marker>, int, string|null}>
     */
    public static function refused(): array
    {
        return [
            'nobody' => ['choose at least one marker', self::works(1), [], 1, null],
            'no share' => ['every marker has a share of 0', self::works(1), [Marker::of('m1', '0')], 1, null],
            'alone' => ['at least two markers', self::works(1), self::markers(1), 2, null],
            'drawn alone' => [
                'at least two markers', self::works(1), [...self::markers(1), Marker::of('m9', '0')], 1, '0.2',
            ],
            'twice' => ['s1 stands in it 2 times', [...self::works(1), ...self::works(1)], self::markers(2), 1, null],
            'share' => ['above 0 and at most 1', self::works(1), self::markers(2), 1, '1.2'],
        ];
    }

    public function test_peers_review_and_are_reviewed_alike_never_themselves_or_their_group(): void
    {
        mt_srand(3);
        for ($n = 0; $n < 300; $n++) {
            $authors = mt_rand(2, 30);
            $each = mt_rand(1, 4);
            $works = array_map(
                fn (int $i) => new Work(
                    "u{$i}", null, mt_rand(0, 2) === 0 ? null : 'g'.mt_rand(0, intdiv($authors, 2)),
                ),
                range(1, $authors),
            );
            $plan = PeerPlan::make($works, $each, $n);
            self::assertEquals($plan, PeerPlan::make($works, $each, $n));
            $groups = array_combine(
                array_map(fn (Work $work) => $work->id, $works),
                array_map(fn (Work $work) => $work->group ?? $work->id, $works),
            );
            foreach ($plan['given'] as $one) {
                self::assertNotSame($groups[$one->script], $groups[$one->marker]);
            }
            $largest = max(array_count_values($groups));
            $reviews = count($plan['given']);
            self::assertSame(self::mostReviews($groups, $each), $reviews, 'as many as any plan can place');
            self::assertSame($reviews === $each * $authors, $plan['unplaced'] === []);
            if ($plan['unplaced'] === []) {
                self::assertSame(
                    [$each],
                    array_values(
                        array_unique(
                            array_count_values(array_map(fn (GivenScript $one) => $one->marker, $plan['given']))
                        )
                    ),
                );
            }
            if ($largest === 1 && $each <= intdiv($authors - 1, 2)) {
                self::assertSame(
                    0, $plan['reciprocal'], 'nobody reviews whom they are reviewed by where it can be avoided',
                );
            }
        }
    }

    public function test_the_documents_of_the_command_are_read_and_every_fault_is_named(): void
    {
        $asked = ['kind' => 'markers', 'seed' => 7, 'scripts' => [
            ['id' => 's1', 'section' => 'A', 'group' => 'g1', 'author' => 'u1'],
        ],
            'markers' => [
                ['id' => 'm1', 'share' => 2, 'sections' => ['A'], 'conflicts' => ['u1']],
                ['id' => 'm2', 'share' => '1.5'],
            ], 'marks_per_script' => 1, 'keep_groups' => true, 'second' => ['share' => '0.2']];
        $answer = PlanJson::answer($asked);
        self::assertSame([['script' => 's1', 'marker' => 'm2', 'part' => 'first']], $answer['assignments']);
        self::assertSame(
            [
                ['marker' => 'm1', 'given' => 0, 'fair' => '0.5714'],
                ['marker' => 'm2', 'given' => 1, 'fair' => '0.4286'],
            ],
            $answer['loads'],
        );
        self::assertSame(
            [
                'script' => 's1', 'part' => 'second', 'why' => 'nobody-left',
                'figures' => ['markers' => 2, 'conflict' => 1, 'marks-it' => 1],
            ],
            $answer['unplaced'][0],
        );
        try {
            PlanJson::answer(
                [
                    'kind' => 'markers', 'seed' => -1, 'scripts' => [['id' => '', 'author' => 7]],
                    'markers' => [['id' => 'm1', 'share' => '-1', 'load' => 2]], 'marks_per_script' => '2',
                    'second' => ['share' => 0.2],
                ]
            );
            self::fail('it was taken');
        } catch (InvalidInput $e) {
            self::assertSame(
                [
                    'seed', 'scripts[0].id', 'scripts[0].author', 'markers[0].load', 'markers[0].share',
                    'marks_per_script', 'second.share',
                ],
                array_map(fn ($fault) => $fault->place, $e->faults),
            );
        }
        $peers = PlanJson::answer(
            [
                'kind' => 'peers', 'seed' => 1, 'per_reviewer' => 2,
                'authors' => [['id' => 'a'], ['id' => 'b'], ['id' => 'c', 'group' => 'g']],
            ]
        );
        self::assertCount(6, $peers['assignments']);
        self::assertSame(['3 pairs of authors review each other.'], $peers['notes']);
    }

    public function test_the_command_answers_on_standard_output_and_tells_faults_on_standard_error(): void
    {
        $run = function (string $json): Process {
            $process = new Process(
                [PHP_BINARY, 'artisan', 'allocation:plan', '-'], dirname(__DIR__, 2),
                ['DB_PORT' => '1', 'APP_ENV' => 'production'], $json,
            );
            $process->run();

            return $process;
        };
        $good = $run('{"kind":"peers","seed":7,"per_reviewer":1,"authors":[{"id":"u1"},{"id":"u2"}]}');
        self::assertSame([0, ''], [$good->getExitCode(), $good->getErrorOutput()]);
        self::assertSame(
            [
                ['script' => 'u1', 'marker' => 'u2', 'part' => 'peer'],
                ['script' => 'u2', 'marker' => 'u1', 'part' => 'peer'],
            ],
            json_decode($good->getOutput(), true)['assignments'],
        );
        $bad = $run('{"kind":"peers","seed":7,"authors":[]}');
        self::assertSame(
            [1, '', "per_reviewer: must be a whole number from 1 to 20\n"],
            [$bad->getExitCode(), $bad->getOutput(), $bad->getErrorOutput()],
        );
    }

    /**
     * A maximum flow by depth-first search, written for this check alone (Ford, Fulkerson 1956).
     *
     * @param  array<string, string>  $groups
     */
    private static function mostReviews(array $groups, int $each): int
    {
        $has = array_fill_keys(array_keys($groups), []);
        $place = function (string $author, array &$seen) use (&$place, &$has, $groups, $each): bool {
            foreach ($groups as $reviewer => $group) {
                if ($group === $groups[$author] || isset($has[$reviewer][$author]) || isset($seen[$reviewer])) {
                    continue;
                }
                $seen[$reviewer] = true;
                if (count($has[$reviewer]) < $each) {
                    return $has[$reviewer][$author] = true;
                }
                foreach (array_keys($has[$reviewer]) as $other) {
                    if ($place($other, $seen)) {
                        unset($has[$reviewer][$other]);

                        return $has[$reviewer][$author] = true;
                    }
                }
            }

            return false;
        };
        $most = 0;
        for ($n = 0; $n < $each; $n++) {
            foreach (array_keys($groups) as $author) {
                $seen = [];
                $most += (int) $place($author, $seen);
            }
        }

        return $most;
    }

    /**
     * @return array{list<Work>, list<Marker>, int, string|null, bool}
     */
    private static function anyCase(int $scripts, int $markers, int $most): array
    {
        $works = array_map(
            fn (int $i) => new Work(
                "s{$i}", mt_rand(0, 4) === 0 ? null : 'ABC'[mt_rand(0, 2)],
                mt_rand(0, 1) === 0 ? null : 'g'.mt_rand(0, 9),
                mt_rand(0, 15) === 0 ? ['m'.mt_rand(1, $markers)] : ['u'.mt_rand(1, 12)],
            ),
            range(1, $scripts),
        );
        $them = array_map(fn (int $i) => Marker::of(
            "m{$i}", (string) (mt_rand(0, 9) === 0 && $i > 3 ? 0 : [1, 1, 2, 0.5, 3][mt_rand(0, 4)]),
            mt_rand(0, 2) === 0 ? array_slice(['A', 'B', 'C'], mt_rand(0, 2)) : null,
            array_map(fn () => 'u'.mt_rand(1, 12), range(0, mt_rand(0, 3))),
        ), range(1, $markers));
        $perScript = mt_rand(1, $most);

        return [
            $works, $them, $perScript,
            $perScript === 1 && $most > 1 && mt_rand(0, 1) === 0 ? (string) (mt_rand(1, 10) / 10) : null,
            $most > 1 && mt_rand(0, 2) === 0,
        ];
    }

    /**
     * @param  list<Work>  $works
     * @param  list<Marker>  $markers
     * @return array{float, bool} the least cost of any plan, and whether any lies within one script of all fair shares
     */
    private static function tryAll(array $works, array $markers, MarkerPlan $plan): array
    {
        $loads = [array_fill(0, count($markers), 0)];
        foreach ($works as $work) {
            $may = array_keys(array_filter($markers, fn (Marker $marker) => $marker->mayHave($work)));
            $next = [];
            foreach ($loads as $each) {
                foreach ($may === [] ? [null] : $may as $number) {
                    $more = $each;
                    $number === null || $more[$number]++;
                    $next[implode(' ', $more)] = $more;
                }
            }
            $loads = $next;
        }

        return [
            min(array_map(fn (array $each) => self::cost($each, $plan), $loads)),
            array_filter($loads, fn (array $each) => self::isWithinOne($each, $plan)) !== [],
        ];
    }

    /**
     * @param  array<int, int>  $loads
     */
    private static function cost(array $loads, MarkerPlan $plan): float
    {
        return array_sum(
            array_map(
                fn (int $load, int $n) => ($load - $plan->loads[$n]->fair->toFloat()) ** 2, $loads, array_keys($loads),
            )
        );
    }

    /**
     * @param  array<int, int>  $loads
     */
    private static function isWithinOne(array $loads, MarkerPlan $plan): bool
    {
        return array_filter(
            $loads, fn (int $load, int $n) => abs($load - $plan->loads[$n]->fair->toFloat()) > 1 - 1e-9,
            ARRAY_FILTER_USE_BOTH,
        ) === [];
    }

    /**
     * @param  list<Work>  $works
     * @param  list<Marker>  $markers
     * @param  array<string, string>  $first
     * @param  array<string, int>  $loads
     */
    private static function leastSquares(array $works, array $markers, array $first, array $loads): int
    {
        $best = PHP_INT_MAX;
        $try = function (int $at, array $second, array $left) use (&$try, &$best, $works, $markers, $first): void {
            if ($at === count($works)) {
                $best = array_sum($left) === 0 ? min($best, self::squares($first, $second)) : $best;

                return;
            }
            $id = $works[$at]->id;
            $placed = false;
            foreach ($markers as $marker) {
                if (
                    ($left[$marker->id] ?? 0) > 0 && $marker->mayHave($works[$at])
                    && ($first[$id] ?? null) !== $marker->id && isset($first[$id])
                ) {
                    $placed = true;
                    $try($at + 1, [...$second, $id => $marker->id], [...$left, $marker->id => $left[$marker->id] - 1]);
                }
            }
            if (! $placed) {
                $try($at + 1, $second, $left);
            }
        };
        $try(0, [], $loads);

        return $best;
    }

    /**
     * @param  array<string, string>  $first
     * @param  array<string, string>  $second
     */
    private static function squares(array $first, array $second): int
    {
        $pairs = [];
        foreach ($second as $script => $marker) {
            $pair = [$marker, $first[$script]];
            sort($pair);
            $pairs[] = implode(' ', $pair);
        }

        return array_sum(array_map(fn (int $times) => $times ** 2, array_count_values($pairs)));
    }

    /**
     * @return list<Work>
     */
    private static function works(int $count): array
    {
        return array_map(fn (int $n) => new Work("s{$n}"), range(1, $count));
    }

    /**
     * @return list<Marker>
     */
    private static function markers(int $count): array
    {
        return array_map(fn (int $n) => Marker::of("m{$n}"), range(1, $count));
    }

    public function test_no_choice_of_sections_holds_so_few_scripts_that_it_names_them(): void
    {
        self::assertSame([['A'], ['B', 'C']], SectionFilters::of(['A' => 20, 'B' => 18, 'C' => 1]));
        self::assertSame([['A', 'B'], ['C']], SectionFilters::of(['A' => 1, 'B' => 2, 'C' => 9]));
        self::assertSame(
            [], SectionFilters::of(['A' => 2, 'B' => 2]), 'four scripts in all: two of each would be told apart',
        );
        self::assertSame([], SectionFilters::of(['A' => 30]));
        self::assertSame([['', 'A'], ['B']], SectionFilters::of(['' => 1, 'A' => 5, 'B' => 6]));
        mt_srand(4);
        for ($n = 0; $n < 200; $n++) {
            $counts = [];
            foreach (range('A', chr(65 + mt_rand(0, 7))) as $section) {
                $counts[(string) $section] = mt_rand(0, 6);
            }
            $choices = SectionFilters::of($counts);
            foreach ($choices as $choice) {
                self::assertGreaterThanOrEqual(
                    SectionFilters::LEAST, array_sum(array_map(fn (string $section) => $counts[$section], $choice)),
                );
            }
            self::assertSame(
                $choices === [] ? 0 : array_sum($counts),
                array_sum(array_map(fn (string $section) => $counts[$section], array_merge(...$choices))),
                'each script is in one',
            );
        }
    }
}
