<?php

declare(strict_types=1);

namespace Tests\Core;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use YoungHarbor\Core\Figures\Working;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marks\Contribution;
use YoungHarbor\Core\Marks\Lateness;
use YoungHarbor\Core\Marks\Length;
use YoungHarbor\Core\Marks\MarkRules;
use YoungHarbor\Core\Peers\ContributionDoubt;
use YoungHarbor\Core\Peers\ContributionSettings;
use YoungHarbor\Core\Peers\GroupRatings;

/**
 * What members' parts in a group do to their marks, and what staff are pointed to.
 */
final class ContributionTest extends TestCase
{
    /**
     * @param  array<string, array<string, int>>  $points
     */
    private function group(string $members, array $points): GroupRatings
    {
        return new GroupRatings(str_split($members), array_map(
            fn (array $of) => array_map(BigDecimal::of(...), $of), $points,
        ));
    }

    /**
     * @param  array<string, BigRational>  $factors
     * @return array<string, string>
     */
    private function shown(array $factors): array
    {
        return array_map(fn (BigRational $one) => (string) $one->simplified(), $factors);
    }

    public function test_factors_by_hand(): void
    {
        $usual = ContributionSettings::usual();
        // a 1/2 1/4 1/4, b 1/3 1/3 1/3, c 3/5 1/5 1/5: given in all 43/30, 47/60, 47/60, due 1 each.
        $points = ['a' => [
            'a' => 4, 'b' => 2, 'c' => 2,
        ], 'b' => ['a' => 3, 'b' => 3, 'c' => 3], 'c' => ['a' => 6, 'b' => 2, 'c' => 2]];
        self::assertSame(
            ['a' => '43/30', 'b' => '47/60', 'c' => '47/60'], $this->shown($this->group('abc', $points)->factors($usual)),
        );
        // Without own ratings: a gives 1/2 1/2, b 1/2 1/2, c 3/4 1/4; due 1 each.
        self::assertSame(['a' => '5/4', 'b' => '3/4', 'c' => '1'], $this->shown(
            $this->group('abc', $points)->factors(ContributionSettings::fromArray(['own' => false])),
        ));
        // Who is silent has given all the same: c's row becomes 1/3 each.
        unset($points['c']);
        self::assertSame(
            ['a' => '7/6', 'b' => '11/12', 'c' => '11/12'], $this->shown($this->group('abc', $points)->factors($usual)),
        );
        // Nobody said anything; a group of one; all zero.
        self::assertSame(['a' => '1', 'b' => '1'], $this->shown($this->group('ab', [])->factors($usual)));
        self::assertSame(['a' => '1'], $this->shown($this->group('a', [])->factors($usual)));
        self::assertSame(['a' => '1', 'b' => '1'], $this->shown(
            $this->group('ab', ['a' => ['a' => 0, 'b' => 0], 'b' => ['a' => 0, 'b' => 0]])->factors($usual),
        ));
    }

    public function test_factors_of_random_groups_add_up_to_their_members(): void
    {
        $dice = new Randomizer(new Mt19937(4));
        for ($n = 0; $n < 200; $n++) {
            $members = substr('abcdefgh', 0, $dice->getInt(2, 8));
            $points = [];
            foreach (str_split($members) as $rater) {
                if ($dice->getInt(0, 4) > 0) {
                    foreach (str_split($members) as $rated) {
                        $points[$rater][$rated] = $dice->getInt(0, 12);
                    }
                }
            }
            $settings = ContributionSettings::fromArray(['own' => $n % 2 === 0, 'silent_even' => $n % 3 > 0]);
            $factors = $this->group($members, $points)->factors($settings);
            self::assertCount(strlen($members), $factors);
            self::assertTrue(
                BigRational::sum(BigRational::zero(), ...array_values($factors))->isEqualTo(strlen($members)),
            );
        }
    }

    public function test_the_mark_is_moved_by_the_part_within_floor_and_cap_in_its_place_of_the_working(): void
    {
        $of = fn (
            string $factor, int $weight, ?int $floor = null, ?int $cap = null, ?string $instead = null,
        ): Contribution => new Contribution(
            BigRational::of($factor), max(0, min(100, $weight)), $floor === null ? null : max(0, min(100, $floor)),
            $cap === null ? null : max(100, min(300, $cap)), $instead === null ? null : BigDecimal::of($instead),
        );
        // 1 − 0.5 + 0.5 × 1.2 = 1.1
        self::assertTrue($of('6/5', 50)->of(BigRational::of(60))->isEqualTo(66));
        self::assertSame('× 1.1: factor 1.2, of which 50 % counts', $of('6/5', 50)->inWords());
        self::assertTrue($of('2', 100, cap: 120)->multiplier()->isEqualTo('6/5'));
        self::assertSame('× 1.2: factor 2, of which 100 % counts, 120 % at most', $of('2', 100, cap: 120)->inWords());
        self::assertTrue($of('0', 100, floor: 50)->multiplier()->isEqualTo('1/2'));
        self::assertTrue($of('0', 0)->multiplier()->isEqualTo(1));
        self::assertSame('× 0.95, decided by a coordinator', $of('2', 100, cap: 120, instead: '0.95')->inWords());
        // Never above the scale, and cut only at the end.
        [$mark, $working] = (new MarkRules(contribution: $of('6/5', 100)))
            ->apply(BigRational::of(90), new Working([]), Lateness::none(), new Length(0));
        self::assertTrue($mark->isEqualTo(100));
        self::assertSame(['Your part in the group', 'Within the scale'], array_column($working->toArray(), 'what'));
        [$mark, $working] = (new MarkRules(contribution: $of('1', 100)))
            ->apply(BigRational::of(61), new Working([]), Lateness::none(), new Length(0));
        self::assertTrue($mark->isEqualTo(61));
        self::assertSame([], $working->toArray(), 'what did nothing is no line');
    }

    public function test_what_staff_are_pointed_to(): void
    {
        $doubts = fn (string $members, array $points): array => array_map(
            fn (array $one) => "{$one[0]->value} ".implode('', $one[1]), $this->group($members, $points)->doubts(),
        );
        self::assertSame(['silent c', 'pair-against-one abc'], $doubts('abc', [
            'a' => ['a' => 9, 'b' => 8, 'c' => 4], 'b' => ['a' => 8, 'b' => 8, 'c' => 3],
        ]));
        self::assertSame(['same-to-all a', 'all-zero b'], $doubts('abc', [
            'a' => ['a' => 9, 'b' => 4, 'c' => 4], 'b' => ['a' => 0, 'b' => 7, 'c' => 0], 'c' => ['a' => 5, 'b' => 4, 'c' => 4],
        ]));
        // A fourth member sees it the same way: no pair against one.
        $four = ['a' => [
            'b' => 8, 'c' => 3, 'd' => 7,
        ], 'b' => ['a' => 8, 'c' => 3, 'd' => 6], 'c' => ['a' => 5, 'b' => 6, 'd' => 7]];
        self::assertSame([], $doubts('abcd', $four + ['d' => ['a' => 8, 'b' => 8, 'c' => 4]]));
        self::assertContains('pair-against-one abc', $doubts('abcd', $four + ['d' => ['a' => 6, 'b' => 7, 'c' => 7]]));
        self::assertSame([], $doubts('ab', ['a' => ['a' => 3, 'b' => 3], 'b' => ['a' => 2, 'b' => 3]]), 'two give one mark each');
        self::assertSame([], $doubts('a', []));
        self::assertCount(4, ContributionDoubt::cases());
    }

    public function test_settings_say_what_is_wrong(): void
    {
        $settings = ContributionSettings::usual();
        self::assertEquals($settings, ContributionSettings::fromArray($settings->toArray()));
        foreach (
            [
                ['criteria' => []], ['criteria' => ['a', 'b', 'c', 'd', 'e', 'f', 'g']], ['criteria' => [str_repeat('x', 121)]],
                ['weight' => 101], ['floor' => -1], ['cap' => 99], ['unknown' => 1],
            ] as $wrong
        ) {
            try {
                ContributionSettings::fromArray($wrong);
                self::fail('taken: '.json_encode($wrong));
            } catch (InvalidInput $e) {
                self::assertNotSame([], $e->faults);
            }
        }
    }
}
