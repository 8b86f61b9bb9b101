<?php

declare(strict_types=1);

namespace Tests\Core;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Formats\RatingsCsv;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Peers\GroupFactors;
use YoungHarbor\Core\Peers\Rating;

/**
 * How much members of a group contributed, in the eyes of each other.
 */
final class GroupFactorsTest extends TestCase
{
    /**
     * @param  array<string, array<string, int>>  $given  by rater and rated
     * @return array<string, string>
     */
    private function factors(array $given, bool $own = true, bool $even = true): array
    {
        $ratings = [];
        foreach ($given as $rater => $points) {
            foreach ($points as $rated => $n) {
                $ratings[] = new Rating($rater, $rated, BigDecimal::of($n));
            }
        }

        return array_map(fn (BigRational $one) => Figure::exact($one), GroupFactors::of($ratings, $own, $even));
    }

    public function test_all_alike_is_one_for_each_whatever_points_raters_use(): void
    {
        self::assertSame(['a' => '1', 'b' => '1', 'c' => '1'], $this->factors([
            'a' => ['a' => 5, 'b' => 5, 'c' => 5], 'b' => ['a' => 1, 'b' => 1, 'c' => 1],
            'c' => ['a' => 0, 'b' => 0, 'c' => 0],
        ]));
    }

    public function test_a_member_whom_all_see_doing_twice_as_much_has_it_in_the_factor(): void
    {
        // Each gives a half of the points to b and a quarter to each other: shares 3/4, 6/4, 3/4; due 1 each.
        $given = array_fill_keys(['a', 'b', 'c'], ['a' => 1, 'b' => 2, 'c' => 1]);
        self::assertSame(['a' => '0.75', 'b' => '1.5', 'c' => '0.75'], $this->factors($given));
        // Without own ratings: a gives b 2/3, c 1/3; c the same to b and a; b a half each.
        // Shares: a 1/3 + 1/2 = 5/6, b 4/3, c 5/6; due 1 each.
        self::assertSame(['a' => '5/6', 'b' => '4/3', 'c' => '5/6'], $this->factors($given, own: false));
    }

    public function test_who_is_silent_neither_gains_nor_loses_by_it(): void
    {
        $given = ['a' => ['a' => 1, 'b' => 1, 'c' => 1], 'b' => ['a' => 1, 'b' => 1, 'c' => 1]];
        foreach ([[true, true], [true, false], [false, true], [false, false]] as [$own, $even]) {
            self::assertSame(['a' => '1', 'b' => '1', 'c' => '1'], $this->factors($given, $own, $even));
        }
        // One who rates only themself: without own ratings a silent one.
        $given['c'] = ['c' => 9];
        self::assertSame(['a' => '1', 'b' => '1', 'c' => '1'], $this->factors($given, own: false));
    }

    public function test_one_whom_nobody_rated_has_one_before_scaling_and_a_group_of_one_has_one(): void
    {
        self::assertSame(['a' => '1', 'b' => '1'], $this->factors(['a' => ['a' => 3]], even: false)
            + ['b' => '1']);
        self::assertSame(['a' => '1'], $this->factors(['a' => ['a' => 7]]));
        self::assertSame(['a' => '1'], $this->factors(['a' => ['a' => 7]], own: false));
        // c rates a and b, and is rated by nobody.
        self::assertSame(
            ['c' => '1', 'a' => '0.5', 'b' => '1.5'], $this->factors(['c' => ['a' => 1, 'b' => 3]], even: false),
        );
    }

    public function test_factors_of_300_random_groups_add_up_to_their_members_and_equal_a_second_way(): void
    {
        $dice = new Randomizer(new Mt19937(11));
        for ($n = 0; $n < 300; $n++) {
            $size = $dice->getInt(2, 6);
            $own = $dice->getInt(0, 1) === 1;
            $even = $dice->getInt(0, 1) === 1;
            $given = [];
            for ($i = 0; $i < $size; $i++) {
                for ($j = 0; $j < $size; $j++) {
                    if ($dice->getInt(0, 9) > 1) {
                        $given["m{$i}"]["m{$j}"] = $dice->getInt(0, 5);
                    }
                }
            }
            if ($given === []) {
                continue;
            }
            $found = $this->factors($given, $own, $even);
            $sum = BigRational::sum(...array_map(fn (string $one) => BigRational::of($one), array_values($found)));
            self::assertTrue($sum->isEqualTo(count($found)));
            foreach ($this->second($given, array_map(strval(...), array_keys($found)), $own, $even) as $id => $factor) {
                self::assertEqualsWithDelta($factor, BigRational::of($found[$id])->toFloat(), 1e-9);
            }
        }
    }

    /**
     * A second way, in floating point: a table of what each would have given, column by column.
     *
     * @param  array<string, array<string, int>>  $given
     * @param  list<string>  $members
     * @return array<string, float>
     */
    private function second(array $given, array $members, bool $own, bool $even): array
    {
        $raw = [];
        foreach ($members as $rated) {
            $got = $owed = 0.0;
            foreach ($members as $rater) {
                $row = array_filter(
                    $given[$rater] ?? [], fn (string $id) => $own || $id !== $rater, ARRAY_FILTER_USE_KEY,
                );
                if ($row === []) {
                    if (! $even) {
                        continue;
                    }
                    $row = array_fill_keys(array_filter($members, fn (string $id) => $own || $id !== $rater), 1);
                }
                if (isset($row[$rated])) {
                    $got += array_sum($row) > 0 ? $row[$rated] / array_sum($row) : 1 / count($row);
                    $owed += 1 / count($row);
                }
            }
            $raw[$rated] = $owed > 0 ? $got / $owed : 1.0;
        }

        return array_map(fn (float $one) => $one * count($members) / array_sum($raw), $raw);
    }

    public function test_a_weight_of_a_half_moves_a_mark_half_as_far(): void
    {
        $half = GroupFactors::multiplier(BigRational::of('1.1'), BigRational::of('0.5'));
        self::assertSame('1.05', Figure::exact($half));
        self::assertSame('1', Figure::exact(GroupFactors::multiplier(BigRational::of('1.7'), BigRational::zero())));
    }

    public function test_a_table_says_what_is_wrong_with_it_line_by_line(): void
    {
        $faults = function (string $text): array {
            try {
                RatingsCsv::read($text);
            } catch (InvalidInput $e) {
                return array_map(fn (Fault $fault) => (string) $fault, $e->faults);
            }
            self::fail('taken');
        };
        self::assertSame([
            'line 3: a has rated b in line 2 already', 'line 4: points must be a number from 0 on, not "-1"',
            'line 5: rated is missing',
        ], $faults("group,rater,rated,points\ng,a,b,1\ng,a,b,2\ng,b,a,-1\ng,b,,1\n"));
        self::assertSame(['csv: has no column points'], $faults("group,rater,rated\ng,a,b\n"));
        self::assertSame(['csv: there is no rating'], $faults("group,rater,rated,points\n"));
        self::assertCount(2, RatingsCsv::read("group,rater,rated,points\ng,a,b,1\nh,a,b,2.5\n"));
    }
}
