<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use YoungHarbor\Core\Release\CohortFigures;
use YoungHarbor\Core\Release\HeardResult;

/**
 * What a cohort should hear: means, what was said most, and nothing about fewer than five students.
 */
final class CohortFiguresTest extends TestCase
{
    /**
     * @param  list<float>  $shares
     * @param  array<string, int>  $praised  by criterion: how many of the first students
     * @return list<HeardResult>
     */
    private function results(array $shares, array $praised = [], int $without = 0): array
    {
        return array_map(fn (float $share, int $n) => new HeardResult(
            $n < $without ? [] : ['c1' => ['title' => 'Argument', 'share' => $share]],
            array_values(array_map(
                fn (string $what) => ['kind' => 'praise', 'criterion' => $what, 'bank' => null],
                array_keys(array_filter($praised, fn (int $many) => $n < $many)),
            )),
        ), $shares, array_keys($shares));
    }

    public function test_means_and_spreads_are_of_what_could_be_reached(): void
    {
        $found = CohortFigures::of($this->results([0.5, 0.7, 0.6, 0.8, 0.4]));
        self::assertNotNull($found);
        self::assertSame([5, 'Argument'], [$found->results, $found->criteria[0]['title']]);
        self::assertEqualsWithDelta(60.0, $found->criteria[0]['mean'], 1e-9);
        // 10, 10, 0, 20 and 20 away: 1000 ÷ 4 = 250.
        self::assertEqualsWithDelta(sqrt(250), $found->criteria[0]['sd'], 1e-9);
    }

    public function test_nothing_is_told_of_fewer_than_five_students_nor_by_what_is_left(): void
    {
        self::assertNull(CohortFigures::of($this->results([0.5, 0.5, 0.5, 0.5])));
        $shares = array_fill(0, 12, 0.5);
        $found = CohortFigures::of($this->results($shares, ['Four' => 4, 'Five' => 5, 'Seven' => 7, 'Eight' => 8, 'All' => 12]));
        self::assertSame([
            ['what' => 'All', 'students' => null], ['what' => 'Eight', 'students' => null],
            ['what' => 'Seven', 'students' => 7], ['what' => 'Five', 'students' => 5],
        ], $found?->byCriterion['praise']);
        // A criterion that did not apply to three: the mean of the other nine beside that of all would tell of them.
        self::assertSame([], CohortFigures::of($this->results($shares, [], 3))?->criteria);
        self::assertCount(1, CohortFigures::of($this->results($shares, [], 5))->criteria ?? []);
    }

    public function test_for_500_random_cohorts_every_count_and_what_it_leaves_is_five_or_more_or_none(): void
    {
        $dice = new Randomizer(new Mt19937(5));
        for ($n = 0; $n < 500; $n++) {
            $all = $dice->getInt(5, 40);
            $results = $counts = [];
            for ($i = 0; $i < $all; $i++) {
                $said = [];
                foreach (['A', 'B', 'C', 'D'] as $k => $what) {
                    if ($dice->getInt(0, 9) <= 2 * $k + 1) {
                        $said[] = ['kind' => 'fix', 'criterion' => null, 'bank' => $what];
                        $said[] = ['kind' => 'fix', 'criterion' => null, 'bank' => $what];
                        $counts[$what] = ($counts[$what] ?? 0) + 1;
                    }
                }
                $results[] = new HeardResult([], $said);
            }
            foreach (CohortFigures::of($results)->byBank['fix'] ?? [] as ['what' => $what, 'students' => $students]) {
                self::assertGreaterThanOrEqual(5, $counts[$what]);
                self::assertTrue($students === null || $all - $students >= 5);
                self::assertTrue($students === null || $students === $counts[$what]);
            }
        }
    }
}
