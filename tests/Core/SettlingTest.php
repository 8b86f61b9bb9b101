<?php

declare(strict_types=1);

namespace Tests\Core;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marking\CriterionGap;
use YoungHarbor\Core\Marking\Feedback;
use YoungHarbor\Core\Marking\OpenMark;
use YoungHarbor\Core\Marking\Panel;
use YoungHarbor\Core\Marking\Rules\RuleName;
use YoungHarbor\Core\Marking\Sampled;
use YoungHarbor\Core\Marking\Scheme;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SeatMark;
use YoungHarbor\Core\Marking\SecondMarks;
use YoungHarbor\Core\Marking\SettledBy;
use YoungHarbor\Core\Marking\SettledMark;
use YoungHarbor\Core\Marking\WhyOpen;
use YoungHarbor\Core\Rubric\Rubric;
use YoungHarbor\Core\Rubric\Scorer;

/**
 * Settling under a scheme with a sample and a third rule, and what criteria add to a difference.
 */
final class SettlingTest extends TestCase
{
    private static function scheme(array $fields): Scheme
    {
        return Scheme::fromArray([...Scheme::usual()->toArray(), ...$fields]);
    }

    public function test_under_a_sample_one_mark_waits_for_the_draw_and_then_is_agreed_or_wants_a_second(): void
    {
        $scheme = self::scheme(['second' => 'sample']);
        $panel = Panel::of(SeatMark::done(Seat::First, '61'));
        $before = $panel->settle($scheme, Sampled::Undecided);
        self::assertInstanceOf(OpenMark::class, $before);
        self::assertSame(WhyOpen::SampleNotDrawn, $before->why);
        $out = $panel->settle($scheme, Sampled::Out);
        self::assertInstanceOf(SettledMark::class, $out);
        self::assertSame([SettledBy::OnlyMark, '61'], [$out->by, (string) $out->mark->toBigDecimal()]);
        self::assertSame([Seat::Second], $panel->missing($scheme, Sampled::In));
        $in = $panel->settle($scheme, Sampled::In);
        self::assertInstanceOf(OpenMark::class, $in);
        self::assertSame(WhyOpen::MarksMissing, $in->why);
        $both = Panel::of(SeatMark::done(Seat::First, '61'), SeatMark::done(Seat::Second, '64'))
            ->settle($scheme, Sampled::In);
        self::assertInstanceOf(SettledMark::class, $both);
        self::assertSame('62.5', (string) $both->mark->toBigDecimal());
    }

    public function test_with_a_third_mark_the_third_rule_settles_and_nothing_crosses_the_pass_line_by_itself(): void
    {
        mt_srand(16);
        $settled = 0;
        foreach (RuleName::ofThree() as $rule) {
            $scheme = self::scheme(['third_rule' => $rule->value, 'tolerance' => '8']);
            for ($round = 0; $round < 500; $round++) {
                $thirds = array_map(fn () => BigRational::nd(mt_rand(99, 150), 3), [0, 0, 0]);
                $reason = mt_rand(0, 1) === 1 ? 'The sources decide.' : '';
                $outcome = Panel::of(
                    SeatMark::done(Seat::First, $thirds[0]), SeatMark::done(Seat::Second, $thirds[1]),
                    SeatMark::done(Seat::Third, $thirds[2], $reason),
                )->settle($scheme);
                if (! $outcome instanceof SettledMark) {
                    continue;
                }
                $settled++;
                usort($thirds, fn (BigRational $a, BigRational $b) => $a->compareTo($b));
                if ($rule === RuleName::ThirdDecides) {
                    self::assertSame(SettledBy::Third, $outcome->by);
                    $across = $thirds[0]->isLessThan(40) && $thirds[2]->isGreaterThanOrEqualTo(40);
                    self::assertTrue(! $across || $reason !== '', 'a third who crosses the line says why');
                } elseif ($rule === RuleName::Median) {
                    self::assertTrue($outcome->mark->isEqualTo($thirds[1]), 'thirds are exact');
                    self::assertSame($thirds[0]->isLessThan(40), $thirds[2]->isLessThan(40));
                }
            }
        }
        self::assertGreaterThan(300, $settled);
    }

    public function test_what_criteria_add_is_exactly_the_whole_difference_the_largest_first(): void
    {
        $rubric = Rubric::fromArray([
            'title' => 'Thirds', 'weighting' => 'percent', 'decimals' => 0,
            'levels' => array_map(
                fn (int $n) => ['id' => "l{$n}", 'title' => "Level {$n}", 'points' => (string) $n], range(0, 7),
            ),
            'criteria' => array_map(fn (int $n) => [
                'id' => "c{$n}", 'title' => "Criterion {$n}", 'kind' => 'levels',
                'weight' => ['33.3', '33.3', '33.4'][$n],
            ], range(0, 2)),
        ]);
        mt_srand(7);
        for ($round = 0; $round < 200; $round++) {
            $marks = fn (): array => array_combine(
                ['c0', 'c1', 'c2'], array_map(fn () => ['level' => 'l'.mt_rand(0, 7)], range(0, 2)),
            );
            $first = Scorer::score($rubric, $marks());
            $second = Scorer::score($rubric, $marks());
            $sum = BigRational::zero();
            $before = null;
            foreach (CriterionGap::between($first, $second) as $gap) {
                $sum = $sum->plus($gap->gap());
                self::assertTrue($before === null || $gap->gap()->abs()->isLessThanOrEqualTo($before));
                $before = $gap->gap()->abs();
            }
            self::assertTrue($sum->isEqualTo($first->exactPercent()->minus($second->exactPercent())));
        }
    }

    public function test_people_who_agree_or_decide_leave_a_working_that_begins_with_every_total(): void
    {
        $panel = Panel::of(
            SeatMark::done(Seat::First, '80'), SeatMark::done(Seat::Second, '50'),
            SeatMark::done(Seat::Third, '61', '', false),
        );
        $agreed = $panel->agreed(BigDecimal::of('66.5'), 'Note 4.', true);
        self::assertSame(
            ['First mark', 'Second mark', 'Third mark', 'Agreed by both markers, criterion by criterion'],
            array_column($agreed->working->toArray(), 'what'),
        );
        self::assertSame('total on the rubric', $agreed->working->lines[2]->how, 'the third was not blind');
        $decided = $panel->decided(BigDecimal::of('61'), 'The rubric says so.');
        self::assertSame(
            [SettledBy::Coordinator, 'Decided by a coordinator', '61'],
            [$decided->by, $decided->working->lines[3]->what, $decided->working->lines[3]->result],
        );
    }

    public function test_feedback_is_somebody_s_and_in_the_order_of_the_seats(): void
    {
        $feedback = Feedback::fromArray(['from' => ['third', 'first'], 'general' => null]);
        self::assertSame(['from' => ['first', 'third'], 'general' => null], $feedback->toArray());
        $this->expectException(InvalidInput::class);
        Feedback::fromArray(['from' => [], 'general' => 'Both of us.']);
    }

    public function test_a_scheme_is_checked_field_by_field(): void
    {
        $faults = [];
        try {
            Scheme::fromArray([
                ...Scheme::usual()->toArray(), 'days' => 0, 'view' => 'half', 'sample' => ['share' => '2'],
            ]);
        } catch (InvalidInput $e) {
            $faults = array_map(strval(...), $e->faults);
        }
        self::assertContains('view: must be one of "blind", "open", "check"', $faults);
        self::assertSame(SecondMarks::Sample, self::scheme(['second' => 'sample'])->second);
    }
}
