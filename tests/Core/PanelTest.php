<?php

declare(strict_types=1);

namespace Tests\Core;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use InvalidArgumentException;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marking\OpenMark;
use YoungHarbor\Core\Marking\Panel;
use YoungHarbor\Core\Marking\Rules\RuleName;
use YoungHarbor\Core\Marking\Scheme;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SeatMark;
use YoungHarbor\Core\Marking\SecondMarks;
use YoungHarbor\Core\Marking\SettledBy;
use YoungHarbor\Core\Marking\SettledMark;
use YoungHarbor\Core\Marking\WhyOpen;

/**
 * Panels of random marks against sums of whole numbers worked out here: every mark is a number of twelfths, so that
 * thirds, halves and their means are whole.
 */
final class PanelTest extends TestCase
{
    private const SEATS = [Seat::First, Seat::Second, Seat::Third];

    private static function scheme(RuleName $rule, string $tolerance = '100', string $pass = '0'): Scheme
    {
        return new Scheme(SecondMarks::None, $rule, BigDecimal::of($tolerance), BigDecimal::of($pass));
    }

    /**
     * @param  list<int>  $twelfths
     */
    private static function panel(array $twelfths, string $reason = ''): Panel
    {
        return Panel::of(
            ...array_map(
                fn (int $mark, int $n) => SeatMark::done(
                    self::SEATS[$n], BigRational::nd($mark, 12), $n === 2 ? $reason : '',
                ),
                $twelfths, array_keys($twelfths),
            )
        );
    }

    public function test_every_rule_settles_to_the_exact_mark(): void
    {
        mt_srand(20261127);
        for ($round = 0; $round < 600; $round++) {
            $two = [mt_rand(0, 1200), mt_rand(0, 1200)];
            $this->comesTo($two[0] + $two[1], 24, RuleName::Mean, $two);
            $this->comesTo($two[0], 12, RuleName::First, $two);
            $this->comesTo(max($two), 12, RuleName::Higher, $two);
            // Few different marks, so that gaps are often equal.
            $three = array_map(fn () => 100 * mt_rand(0, 12), [0, 0, 0]);
            [$low, $middle, $high] = $this->sorted($three);
            $this->comesTo($middle, 12, RuleName::Median, $three);
            $this->comesTo($three[2], 12, RuleName::ThirdDecides, $three);
            [$sum, $of] = match ($middle - $low <=> $high - $middle) {
                -1 => [$low + $middle, 24], 1 => [$middle + $high, 24], default => [$middle, 12],
            };
            $this->comesTo($sum, $of, RuleName::TwoClosest, $three);
        }
    }

    public function test_nothing_settles_by_itself_across_the_pass_line_or_beyond_the_tolerance(): void
    {
        mt_srand(20261128);
        $settled = 0;
        for ($round = 0; $round < 2000; $round++) {
            $rule = RuleName::cases()[mt_rand(0, 5)];
            $marks = array_map(fn () => mt_rand(400, 560), $rule->rule()->needs());
            $outcome = self::panel($marks)->settle(self::scheme($rule, '5', '40'));
            $passing = count(array_filter($marks, fn (int $mark) => $mark >= 480));
            $across = $passing > 0 && $passing < count($marks);
            if (! $outcome instanceof SettledMark) {
                continue;
            }
            $settled++;
            if ($rule === RuleName::TwoClosest) {
                [$low, $middle, $high] = $this->sorted($marks);
                $used = match ($middle - $low <=> $high - $middle) {
                    -1 => [$low, $middle], 1 => [$middle, $high], default => [$low, $high],
                };
                self::assertSame($used[0] >= 480, $used[1] >= 480);
                self::assertLessThanOrEqual(60, min($middle - $low, $high - $middle));
            } else {
                self::assertFalse($across, $rule->value.' '.implode(' ', $marks));
            }
            if (count($marks) === 2) {
                self::assertLessThanOrEqual(60, abs($marks[0] - $marks[1]));
            }
        }
        self::assertGreaterThan(200, $settled);
    }

    public function test_a_third_who_decides_may_cross_the_pass_line_and_says_why(): void
    {
        $scheme = self::scheme(RuleName::ThirdDecides, '5', '40');
        $outcome = self::panel([432, 600, 504])->settle($scheme);
        self::assertInstanceOf(OpenMark::class, $outcome);
        self::assertSame(WhyOpen::ReasonMissing, $outcome->why);
        $outcome = self::panel([432, 600, 504], 'The argument holds.')->settle($scheme);
        self::assertInstanceOf(SettledMark::class, $outcome);
        self::assertSame(
            ['42', 'the third marker decides: The argument holds.'],
            [(string) $outcome->mark->toBigDecimal(), $outcome->working->lines[3]->how],
        );
    }

    public function test_what_is_missing_and_how_far_marks_lie_apart(): void
    {
        $twice = new Scheme(SecondMarks::Every, RuleName::Mean, BigDecimal::of(5), BigDecimal::of(40));
        self::assertSame([Seat::First, Seat::Second], Panel::of()->missing($twice));
        $one = Panel::of(SeatMark::done(Seat::First, '61.5'), SeatMark::done(Seat::Together, 20));
        self::assertSame(
            [[Seat::Second], null, []],
            [$one->missing($twice), $one->apart(), $one->missing(self::scheme(RuleName::Mean))],
        );
        // A seat that has a marker is waited for, even where the scheme would do without.
        self::assertSame(
            [Seat::Third],
            Panel::of(
                SeatMark::done(Seat::First, 60), SeatMark::begun(Seat::Third),
            )->missing(self::scheme(RuleName::Mean)),
        );
        $outcome = $one->settle(self::scheme(RuleName::Mean));
        self::assertInstanceOf(SettledMark::class, $outcome);
        self::assertSame([SettledBy::OnlyMark, '61.5'], [$outcome->by, (string) $outcome->mark->toBigDecimal()]);
        $peers = Panel::of(
            SeatMark::done(Seat::Peer, 58), SeatMark::done(Seat::Peer, 62), SeatMark::done(Seat::Peer, 35),
        );
        $outcome = $peers->settle(self::scheme(RuleName::Peers));
        self::assertInstanceOf(SettledMark::class, $outcome);
        self::assertSame(['58', '27'], [(string) $outcome->mark, (string) $peers->apart()]);
    }

    public function test_two_marks_in_one_seat_are_refused_where_it_holds_one(): void
    {
        $this->expectException(InvalidArgumentException::class);
        Panel::of(SeatMark::done(Seat::First, 50), SeatMark::waiting(Seat::First));
    }

    public function test_a_scheme_names_every_fault_of_its_document(): void
    {
        self::assertEquals(Scheme::usual(), Scheme::fromArray(Scheme::usual()->toArray()));
        try {
            Scheme::fromArray(
                [
                    ...Scheme::usual()->toArray(),
                    'second' => 'some', 'rule' => 'mode', 'tolerance' => '140', 'pass_mark' => 'x',
                    'disagreement' => 'its-markers', 'tolerence' => '3',
                ]
            );
            self::fail('a faulty scheme was taken');
        } catch (InvalidInput $e) {
            self::assertSame(
                ['tolerence', 'second', 'rule', 'tolerance', 'pass_mark'],
                array_map(fn ($fault) => $fault->place, $e->faults),
            );
        }
    }

    /**
     * @param  list<int>  $marks  twelfths
     */
    private function comesTo(int $numerator, int $denominator, RuleName $rule, array $marks): void
    {
        $outcome = self::panel($marks)->settle(self::scheme($rule));
        self::assertInstanceOf(SettledMark::class, $outcome, $rule->value.' '.implode(' ', $marks));
        self::assertTrue(
            $outcome->mark->isEqualTo(BigRational::nd($numerator, $denominator)),
            $rule->value.' '.implode(' ', $marks).": {$outcome->mark}",
        );
    }

    /**
     * @param  array<int>  $marks
     * @return list<int>
     */
    private function sorted(array $marks): array
    {
        sort($marks);

        return $marks;
    }
}
