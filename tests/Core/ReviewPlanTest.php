<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Peers\PlannedReviewer;
use YoungHarbor\Core\Peers\PlannedReviews;
use YoungHarbor\Core\Peers\ReviewedWork;
use YoungHarbor\Core\Peers\ReviewPlan;

/**
 * Who reviews what, at first and again while people drop out, come late and volunteer.
 */
final class ReviewPlanTest extends TestCase
{
    /**
     * @return iterable<string, array{int, int}>
     */
    public static function cohorts(): iterable
    {
        yield 'two, one each' => [2, 1];
        yield 'five, four each: everyone everyone' => [5, 4];
        yield 'nine, four each: just room for no pair' => [9, 4];
        yield 'a hundred, three each' => [100, 3];
    }

    #[DataProvider('cohorts')]
    public function test_a_first_plan_gives_everyone_as_many_as_they_write(int $count, int $each): void
    {
        [$works, $people] = self::cohort($count, $each);
        $plan = ReviewPlan::make($works, $people, [], [], [], 7);
        self::assertSame([], $plan->short);
        self::assertCount($count * $each, $plan->added);
        self::assertSame(array_fill(0, $count, $each), array_values(array_count_values(array_column($plan->added, 1))));
        self::assertRules($plan->added, $works, []);
        if ($count >= 2 * $each + 1) {
            self::assertSame(0, $plan->twined, 'nobody reviews who reviews them where there is room');
        }
        self::assertEquals($plan, ReviewPlan::make($works, $people, [], [], [], 7));
    }

    public function test_more_than_the_cohort_allows_is_said_for_each(): void
    {
        [$works, $people] = self::cohort(3, 4);
        $plan = ReviewPlan::make($works, $people, [], [], [], 1);
        self::assertSame(['w0' => 2, 'w1' => 2, 'w2' => 2], self::sorted($plan->short));
        self::assertCount(6, $plan->added);
        self::assertSame(['w0' => 4], ReviewPlan::make([$works[0]], [$people[0]], [], [], [], 1)->short, 'alone');
    }

    public function test_one_group_only_has_nobody_to_review_it(): void
    {
        $works = [new ReviewedWork('w', ['a', 'b', 'c'], 2)];
        $plan = ReviewPlan::make(
            $works, array_map(fn (string $id) => new PlannedReviewer($id, 2), ['a', 'b', 'c']), [], [], [], 1,
        );
        self::assertSame([[], ['w' => 2]], [$plan->added, $plan->short]);
    }

    public function test_what_is_begun_stays_and_no_more_is_moved_than_needs_be(): void
    {
        [$works, $people] = self::cohort(60, 3);
        $first = ReviewPlan::make($works, $people, [], [], [], 3)->added;
        // Six drop out: their works stay to be reviewed, what they were to review goes to twelve who offered one more.
        $gone = ['p0', 'p1', 'p2', 'p3', 'p4', 'p5'];
        $fixed = array_values(array_filter($first, fn (array $one) => crc32($one[0].$one[1]) % 3 === 0));
        $fixed = array_values(array_filter($fixed, fn (array $one) => ! in_array($one[1], $gone, true)));
        $loose = array_values(array_filter($first, fn (array $one) => ! in_array($one, $fixed, true)));
        $left = [];
        foreach ($people as $n => $person) {
            in_array($person->id, $gone, true) || $left[] = new PlannedReviewer($person->id, $n < 24 ? 4 : 3);
        }
        $plan = ReviewPlan::make($works, $left, $fixed, $loose, [], 4);
        self::assertSame([], $plan->short, 'eighteen reviews, eighteen offered');
        $of = fn (array $pairs): int => count(
            array_filter($pairs, fn (array $one) => ! in_array($one[1], $gone, true))
        );
        self::assertLessThanOrEqual(10, $of($plan->removed), 'of 162 that need not have moved');
        $now = self::now($fixed, $loose, $plan);
        self::assertRules($now, $works, []);
        self::assertSame([], array_udiff($fixed, $now, fn (array $a, array $b) => $a <=> $b));
        self::assertSame([], array_intersect($gone, array_column($now, 1)));
    }

    public function test_those_who_begin_nothing_give_theirs_up_only_where_somebody_takes_it(): void
    {
        [$works] = self::cohort(5, 2);
        $loose = [['w0', 'p1'], ['w1', 'p2'], ['w2', 'p3'], ['w3', 'p4'], ['w4', 'p0'],
            ['w0', 'p2'], ['w1', 'p3'], ['w2', 'p4'], ['w3', 'p0'], ['w4', 'p1']];
        $people = fn (int $extra): array => array_map(
            fn (int $n) => new PlannedReviewer("p{$n}", $n === 1 ? 2 + $extra : 2, $n === 0), range(0, 4),
        );
        $same = ReviewPlan::make($works, $people(0), [], $loose, [], 2);
        self::assertSame([[], [], []], [$same->added, $same->removed, $same->short]);
        self::assertSame(2, $same->unsure, 'two works wait for someone who has begun nothing');
        $more = ReviewPlan::make($works, $people(1), [], $loose, [], 2);
        self::assertCount(1, array_filter($more->removed, fn (array $one) => $one[1] === 'p0'));
        self::assertSame([[], 1], [$more->short, $more->unsure]);
    }

    public function test_what_is_missing_is_missing_evenly(): void
    {
        [$works, $people] = self::cohort(20, 3);
        $plan = ReviewPlan::make($works, array_slice($people, 0, 15), [], [], [], 5);
        self::assertSame([15, 1], [array_sum($plan->short), max($plan->short)]);
    }

    public function test_random_rounds_keep_every_rule_and_find_what_a_flow_finds(): void
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937(11));
        for ($trial = 0; $trial < 300; $trial++) {
            $count = $random->getInt(2, 12);
            $works = $people = $barred = $all = [];
            for ($n = 0; $n < $count; $n++) {
                $works[] = new ReviewedWork("w{$n}", ["p{$n}"], $random->getInt(0, 4));
                $people[] = new PlannedReviewer("p{$n}", $random->getInt(0, 4), $random->getInt(0, 5) === 0);
                for ($m = 0; $m < $count; $m++) {
                    $random->getInt(0, 6) === 0 && $barred[] = ["w{$n}", "p{$m}"];
                    $n !== $m && $all[] = ["w{$n}", "p{$m}"];
                }
            }
            $all = array_values(array_filter($all, fn (array $one) => ! in_array($one, $barred, true)));
            $given = array_slice($random->shuffleArray($all), 0, $random->getInt(0, $count));
            $cut = $random->getInt(0, count($given));
            [$fixed, $loose] = [array_slice($given, 0, $cut), array_slice($given, $cut)];
            $plan = ReviewPlan::make($works, $people, $fixed, $loose, $barred, $trial);
            $now = self::now($fixed, $loose, $plan);
            self::assertRules($now, $works, $barred);
            $load = array_count_values(array_column($now, 1));
            $begun = array_count_values(array_column($fixed, 1));
            foreach ($people as $person) {
                self::assertLessThanOrEqual(max($person->room, $begun[$person->id] ?? 0), $load[$person->id] ?? 0);
            }
            self::assertSame(
                self::mostByFlow($works, $people, $fixed, $barred), array_sum($plan->short), "trial {$trial}",
            );
        }
    }

    /**
     * @return array{list<ReviewedWork>, list<PlannedReviewer>}
     */
    private static function cohort(int $count, int $each): array
    {
        return [
            array_map(fn (int $n) => new ReviewedWork("w{$n}", ["p{$n}"], $each), range(0, $count - 1)),
            array_map(fn (int $n) => new PlannedReviewer("p{$n}", $each), range(0, $count - 1)),
        ];
    }

    /**
     * @param  list<array{string, string}>  $pairs
     * @param  list<ReviewedWork>  $works
     * @param  list<array{string, string}>  $barred
     */
    private static function assertRules(array $pairs, array $works, array $barred): void
    {
        self::assertSame(count($pairs), count(array_unique(array_map(fn (array $one) => implode(' ', $one), $pairs))));
        foreach ($works as $work) {
            foreach ($work->authors as $author) {
                self::assertNotContains([$work->id, $author], $pairs, 'nobody reviews their own');
            }
        }
        foreach ($barred as $pair) {
            self::assertNotContains($pair, $pairs);
        }
    }

    /**
     * @param  list<array{string, string}>  $fixed
     * @param  list<array{string, string}>  $loose
     * @return list<array{string, string}>
     */
    private static function now(array $fixed, array $loose, PlannedReviews $plan): array
    {
        $kept = array_filter($loose, fn (array $one) => ! in_array($one, $plan->removed, true));

        return [...$fixed, ...array_values($kept), ...$plan->added];
    }

    /**
     * Reviews that a plain maximum flow leaves missing: repeated depth-first search from work to reviewer.
     *
     * @param  list<ReviewedWork>  $works
     * @param  list<PlannedReviewer>  $people
     * @param  list<array{string, string}>  $fixed
     * @param  list<array{string, string}>  $barred
     */
    private static function mostByFlow(array $works, array $people, array $fixed, array $barred): int
    {
        $room = $by = [];
        foreach ($people as $person) {
            $room[$person->id] = $person->room - count(
                array_filter($fixed, fn (array $one) => $one[1] === $person->id)
            );
        }
        $missing = 0;
        $try = function (string $work, array &$seen) use (&$try, &$room, &$by, $works, $fixed, $barred): bool {
            foreach (array_keys($room) as $reviewer) {
                $author = $works[(int) substr($work, 1)]->authors;
                if (
                    isset($seen[$reviewer]) || isset($by[$work][$reviewer]) || in_array($reviewer, $author, true)
                    || in_array([$work, $reviewer], [...$fixed, ...$barred], true)
                ) {
                    continue;
                }
                $seen[$reviewer] = true;
                if ($room[$reviewer] > 0) {
                    $room[$reviewer]--;

                    return $by[$work][$reviewer] = true;
                }
                foreach ($by as $other => $its) {
                    if (isset($its[$reviewer]) && $try((string) $other, $seen)) {
                        unset($by[$other][$reviewer]);

                        return $by[$work][$reviewer] = true;
                    }
                }
            }

            return false;
        };
        foreach ($works as $work) {
            $has = count(array_filter($fixed, fn (array $one) => $one[0] === $work->id));
            for ($n = $has; $n < $work->wanted; $n++) {
                $seen = [];
                $try($work->id, $seen) || $missing++;
            }
        }

        return $missing;
    }

    /**
     * @param  array<string, int>  $by
     * @return array<string, int>
     */
    private static function sorted(array $by): array
    {
        ksort($by);

        return $by;
    }
}
