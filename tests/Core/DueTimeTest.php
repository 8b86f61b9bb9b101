<?php

declare(strict_types=1);

namespace Tests\Core;

use Brick\Math\BigRational;
use DateTimeImmutable;
use DateTimeZone;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marking\Panel;
use YoungHarbor\Core\Marking\Scheme;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SeatMark;
use YoungHarbor\Core\Marking\SettledMark;
use YoungHarbor\Core\Marks\BandScale;
use YoungHarbor\Core\Marks\ClosureDays;
use YoungHarbor\Core\Marks\DueTime;
use YoungHarbor\Core\Marks\FinalMark;
use YoungHarbor\Core\Marks\Lateness;
use YoungHarbor\Core\Marks\LateRule;
use YoungHarbor\Core\Marks\MarkRules;

/**
 * Due times and lateness, each case worked by hand with a calendar of the years 2026 to 2028. In London the clocks go
 * forward on Sunday 28 March 2027 at 01:00 UTC and back on Sunday 31 October 2027 at 01:00 UTC; 2028 is a leap year.
 */
final class DueTimeTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $rule
     */
    #[DataProvider('late')]
    public function test_started_days_and_hours(string $due, string $received, array $rule, int $units): void
    {
        $rule = LateRule::fromArray($rule + ['take' => 'points', 'amount' => '5', 'per' => 'day']);
        self::assertSame($units, $rule->units(self::lateness($due, $received)));
    }

    /** @return iterable<string, array{string, string, array<string, mixed>, int}> */
    public static function late(): iterable
    {
        $off = ['weekends' => false];
        $hour = ['per' => 'hour'];
        yield 'one second before' => ['2027-01-12 12:00', '2027-01-12 11:59:59', [], 0];
        yield 'on the second' => ['2027-01-12 12:00', '2027-01-12 12:00:00', [], 0];
        yield 'one second after' => ['2027-01-12 12:00', '2027-01-12 12:00:01', [], 1];
        // Forward: the night has 23 hours, and noon to noon is still a day.
        yield 'noon to noon over the clocks going forward' => ['2027-03-27 12:00', '2027-03-28 12:00:00', [], 1];
        yield 'and a second' => ['2027-03-27 12:00', '2027-03-28 12:00:01', [], 2];
        yield 'in hours that is 23' => ['2027-03-27 12:00', '2027-03-28 12:00:00', $hour, 23];
        // Back: 25 hours.
        yield 'noon to noon over the clocks going back' => ['2027-10-30 12:00', '2027-10-31 12:00:00', [], 1];
        yield 'in hours that is 25' => ['2027-10-30 12:00', '2027-10-31 12:00:00', $hour, 25];
        yield 'one second before a due time in the night of the change' => [
            '2027-03-28 00:59', '2027-03-28 00:58:59', [], 0,
        ];
        yield 'due at 00:59, handed in at 02:01, two minutes later' => [
            '2027-03-28 00:59', '2027-03-28 02:01:00', $hour, 1,
        ];
        // Due 01:30 before the clocks go back, handed in 01:10 after it: 40 minutes late, though the wall says earlier.
        yield 'late by 40 minutes in the repeated hour' => ['2027-10-31T00:30:00Z', '2027-10-31T01:10:00Z', [], 1];
        yield 'the same in hours' => ['2027-10-31T00:30:00Z', '2027-10-31T01:10:00Z', $hour, 1];
        // The leap day counts as a day.
        yield 'over 29 February' => ['2028-02-28 12:00', '2028-03-01 12:00:00', [], 2];
        yield 'over 28 February in a common year' => ['2027-02-28 12:00', '2027-03-01 12:00:00', [], 1];
        // Weekends: Friday 15 January 2027 16:00. The clock stands still from Friday to Sunday midnight.
        yield 'Saturday: the eight hours of Friday' => ['2027-01-15 16:00', '2027-01-16 10:00:00', $off, 1];
        yield 'Monday 16:00: 8 and 16 hours' => ['2027-01-15 16:00', '2027-01-18 16:00:00', $off, 1];
        yield 'Monday 16:00:01' => ['2027-01-15 16:00', '2027-01-18 16:00:01', $off, 2];
        yield 'with weekends counted' => ['2027-01-15 16:00', '2027-01-18 16:00:00', [], 3];
        yield 'hours over a weekend: 8 and 2' => ['2027-01-15 16:00', '2027-01-18 02:00:00', $off + $hour, 10];
        yield 'due and in on one Saturday' => ['2027-01-16 09:00', '2027-01-16 20:00:00', $off, 0];
        yield 'a weekend of 47 hours leaves the days alone' => ['2027-03-26 16:00', '2027-03-29 16:00:00', $off, 1];
        // Closed on Thursday 24 and Friday 25 December 2026.
        yield 'closure days and the weekend' => [
            '2026-12-23 12:00', '2026-12-28 12:00:00', $off + ['closures' => false], 1,
        ];
        yield 'closure days only' => ['2026-12-23 12:00', '2026-12-28 12:00:00', ['closures' => false], 3];
        yield 'grace of 20 minutes, used up on Monday' => [
            '2027-01-15 23:50', '2027-01-18 00:10:00', $off + ['grace_minutes' => 20], 0,
        ];
        yield 'one second past it' => ['2027-01-15 23:50', '2027-01-18 00:10:01', $off + ['grace_minutes' => 20], 1];
    }

    public function test_beyond_the_cut_off_nothing_is_left_and_the_working_says_how(): void
    {
        $rule = LateRule::fromArray(
            [
                'take' => 'points', 'amount' => '5', 'per' => 'day', 'floor' => '40', 'cut_off' => 5,
                'weekends' => false, 'closures' => false,
            ]
        );
        self::assertSame(
            '45',
            Figure::cut(
                $rule->apply(BigRational::of(70), $five = self::lateness('2027-01-11 12:00', '2027-01-18 12:00'))
            ),
        );
        self::assertSame(
            '0',
            Figure::cut(
                $rule->apply(BigRational::of(70), $six = self::lateness('2027-01-11 12:00', '2027-01-18 12:00:01'))
            ),
        );
        self::assertSame(
            '7 days late: 5 started days × 5 marks, not below 40; weekends and closure days do not count',
            $rule->working($five),
        );
        self::assertSame(
            '7 days 1 s late: 6 started days, and nothing after 5; weekends and closure days do not count',
            $rule->working($six),
        );
        self::assertSame(
            '5 marks off for each started day, not below 40, and no marks after 5 days; weekends and closure days do not count',
            $rule->sentence(),
        );
    }

    public function test_waived_lateness_costs_nothing_and_is_in_the_working(): void
    {
        $settled = Panel::of(
            SeatMark::done(Seat::First, 60), SeatMark::done(Seat::Second, 62),
        )->settle(Scheme::usual());
        self::assertInstanceOf(SettledMark::class, $settled);
        $zone = new DateTimeZone('Europe/London');
        $late = Lateness::between(
            new DateTimeImmutable('2027-01-12 12:00', $zone), new DateTimeImmutable('2027-01-14 11:00', $zone), $zone,
            waived: true,
        );
        $final = FinalMark::of(
            $settled,
            BandScale::fromArray(
                ['name' => 'Pass', 'bands' => [['name' => 'Fail', 'from' => '0'], ['name' => 'Pass', 'from' => '40']]]
            ),
            0, new MarkRules(LateRule::fromArray(['take' => 'points', 'amount' => '5', 'per' => 'day'])), $late,
        );
        self::assertSame('61', (string) $final->mark);
        self::assertContains(
            ['what' => 'Late', 'how' => '1 day 23 h, waived', 'result' => '61'], $final->working->toArray(),
        );
    }

    /**
     * @param  array<string, mixed>  $more
     */
    #[DataProvider('due')]
    public function test_the_due_time_of_one_student(array $more, string $due, string $last): void
    {
        $at = fn (?string $time) => $time === null ? null : self::at($time);
        $found = DueTime::of(
            $at($more['due'] ?? '2027-01-14 12:00'), $at($more['opens'] ?? '2027-01-04 09:00'), null,
            new DateTimeZone('Europe/London'), $more['days'] ?? 0, $more['percent'] ?? 0,
            $at($more['extension'] ?? null), ['2026-12-25', '2026-12-28'],
        );
        self::assertSame($due, $found->due->format('Y-m-d H:i'));
        self::assertSame($last, $found->working->lines[array_key_last($found->working->lines)]->what);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function due(): iterable
    {
        yield 'as for everyone' => [[], '2027-01-14 12:00', 'Due'];
        yield 'four days' => [['days' => 4], '2027-01-18 12:00', 'Extra days'];
        yield 'two days end on a Saturday' => [['days' => 2], '2027-01-18 12:00', 'Moved on'];
        yield 'one day ends on Christmas: on to Tuesday' => [
            ['due' => '2026-12-24 12:00', 'opens' => '2026-12-01 09:00', 'days' => 1], '2026-12-29 12:00', 'Moved on',
        ];
        yield 'a due time on a Sunday stays where it was put' => [
            ['due' => '2027-01-17 23:59'], '2027-01-17 23:59', 'Due',
        ];
        yield 'at the same time of day over the change of the clocks' => [
            ['due' => '2027-03-26 12:00', 'days' => 3], '2027-03-29 12:00', 'Extra days',
        ];
        yield 'over the leap day' => [
            ['due' => '2028-02-28 12:00', 'opens' => '2028-02-01 12:00', 'days' => 2], '2028-03-01 12:00', 'Extra days',
        ];
        yield 'a quarter of 48 hours' => [
            ['opens' => '2027-01-12 12:00', 'percent' => 25, 'days' => 3], '2027-01-15 00:00', 'Extra time',
        ];
        yield 'a quarter of 90 minutes, rounded up' => [
            ['opens' => '2027-01-14 10:30', 'percent' => 25], '2027-01-14 12:23', 'Extra time',
        ];
        yield 'no share of a long paper' => [['percent' => 25], '2027-01-14 12:00', 'Due'];
        yield 'an extension' => [['extension' => '2027-01-20 12:00'], '2027-01-20 12:00', 'Extension'];
        yield 'an extension later than the extra days' => [
            ['days' => 4, 'extension' => '2027-01-20 09:00'], '2027-01-20 09:00', 'Extension',
        ];
        yield 'never shortens' => [['days' => 5, 'extension' => '2027-01-15 12:00'], '2027-01-19 12:00', 'Extension'];
    }

    public function test_an_allowance_holds_for_what_falls_due_while_it_is_in_force(): void
    {
        $holds = fn (string $given, ?string $ended, string $due, string $now) => DueTime::holds(
            self::at($given), $ended === null ? null : self::at($ended), self::at($due), self::at($now),
        );
        self::assertTrue($holds('2027-01-01', null, '2027-01-14', '2027-01-02'));
        self::assertTrue($holds('2027-01-01', '2027-01-20', '2027-01-14', '2027-01-25'), 'it ended after the due time');
        self::assertFalse($holds('2027-01-15', null, '2027-01-14', '2027-01-16'), 'it came after the due time');
        self::assertFalse(
            $holds('2027-01-01', '2027-01-10', '2027-01-14', '2027-01-11'), 'it has ended and the due time is to come',
        );
    }

    public function test_closure_days_are_read_as_people_write_them(): void
    {
        self::assertSame(
            ['2026-12-31' => 'Winter', '2027-01-01' => 'Winter', '2027-02-28' => ''],
            ClosureDays::read("2026-12-31 to 2027-01-01 Winter\n\n 2027-02-28"),
        );
        try {
            ClosureDays::read(
                "tomorrow\n2027-02-29 Leap\n2027-03-01 – 2027-02-01\n2027-01-01 to 2027-06-01\n2027-04-04"
            );
            self::fail('It was read.');
        } catch (InvalidInput $e) {
            self::assertSame(
                ['Line 1', 'Line 2', 'Line 3', 'Line 4'], array_map(fn (Fault $fault) => $fault->place, $e->faults),
            );
        }
    }

    public function test_late_work_is_taken_as_long_after_it_and_a_group_has_the_latest_time_of_its_members(): void
    {
        $zone = new DateTimeZone('Europe/London');
        $own = DueTime::of(self::at('2027-01-14 12:00'), null, self::at('2027-01-16 12:00'), $zone);
        $mate = DueTime::of(
            self::at('2027-01-14 12:00'), null, self::at('2027-01-16 12:00'), $zone,
            extension: self::at('2027-01-19 12:00'),
        );
        self::assertSame('2027-01-21 12:00', $mate->closes?->format('Y-m-d H:i'));
        self::assertSame(
            ['2027-01-19 12:00', 'Your group'],
            [$own->orOfGroup($mate)->due->format('Y-m-d H:i'), $own->orOfGroup($mate)->working->lines[1]->what],
        );
        self::assertSame($mate, $mate->orOfGroup($own));
    }

    private static function lateness(string $due, string $received): Lateness
    {
        return Lateness::between(
            self::at($due), self::at($received), new DateTimeZone('Europe/London'), ['2026-12-24', '2026-12-25'],
        );
    }

    private static function at(string $time): DateTimeImmutable
    {
        return new DateTimeImmutable($time, new DateTimeZone('Europe/London'));
    }
}
