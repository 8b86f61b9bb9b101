<?php

declare(strict_types=1);

namespace Tests\Core;

use DateTimeImmutable;
use DateTimeZone;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Observing\Calendar;
use YoungHarbor\Core\Observing\Ground;
use YoungHarbor\Core\Observing\Slot;
use YoungHarbor\Core\Observing\SlotPlan;
use YoungHarbor\Core\Observing\ToObserve;

/**
 * Slots for people who are observed, and the calendar files of them.
 */
final class ObservingTest extends TestCase
{
    private function ground(string $id, string $from, string $to, array $observers = ['o1'], ?string $room = null): Ground
    {
        $at = fn (string $time) => new DateTimeImmutable("2026-12-07 {$time}", new DateTimeZone('UTC'));

        return new Ground($id, $room ?? "Room {$id}", $at($from), $at($to), $observers);
    }

    public function test_everyone_has_a_slot_nobody_is_in_two_places_and_more_time_is_longer(): void
    {
        $plan = SlotPlan::of(
            [$this->ground('a', '09:00', '10:30'), $this->ground('b', '09:00', '10:00', ['o2', 'o3'])],
            [new ToObserve('p1', 20), new ToObserve('p2', 20, ['o1']), new ToObserve(
                'p3', SlotPlan::lengthened(20, 25),
            ), new ToObserve('p4', 20), new ToObserve('p5', 20)],
            5,
        );
        self::assertSame([], $plan->unplaced);
        self::assertCount(5, $plan->slots);
        foreach ($plan->slots as $n => $slot) {
            foreach (array_slice($plan->slots, $n + 1) as $other) {
                self::assertFalse($slot->clashesWith($other));
            }
            $slot->who === 'p2' && self::assertNotContains('o1', $slot->observers);
            $slot->who === 'p3' && self::assertSame(25 * 60, $slot->to->getTimestamp() - $slot->from->getTimestamp());
        }
        self::assertSame(25, SlotPlan::lengthened(20, 25));
        self::assertSame(30, SlotPlan::lengthened(20, 33), 'to fives of minutes, never less');
        self::assertSame(20, SlotPlan::lengthened(20, 0));
    }

    public function test_who_finds_no_slot_is_named_with_the_reason(): void
    {
        $plan = SlotPlan::of(
            [$this->ground('a', '09:00', '09:45')],
            [
                new ToObserve('p1', 20), new ToObserve('p2', 20),
                new ToObserve('p3', 20), new ToObserve('p4', 20, ['o1']), new ToObserve('p5', 60),
            ],
            5,
        );
        self::assertSame(['p5' => 'full', 'p3' => 'full', 'p4' => 'kept'], $plan->unplaced, 'p5 is kept from nobody: it is too long');
        self::assertSame(['09:00', '09:25'], array_map(fn (Slot $slot) => $slot->from->format('H:i'), $plan->slots));
    }

    public function test_as_many_are_placed_as_every_way_of_placing_them_can(): void
    {
        $random = new Randomizer(new Mt19937(7));
        $left = 0;
        for ($case = 0; $case < 300; $case++) {
            $rooms = $random->getInt(1, 3);
            $grounds = [];
            for ($n = 0; $n < $rooms; $n++) {
                $grounds[] = $this->ground("g{$n}", '09:00', sprintf('09:%02d', $random->getInt(2, 5) * 10), ["o{$n}"]);
            }
            $people = [];
            for ($n = 0; $n < $random->getInt(1, 6); $n++) {
                $people[] = new ToObserve("p{$n}", 20, array_values(array_filter(
                    array_map(fn (int $o) => "o{$o}", range(0, $rooms - 1)), fn () => $random->getInt(0, 2) === 0,
                )));
            }
            $plan = SlotPlan::of($grounds, $people, 0);
            self::assertCount($this->most($grounds, $people), $plan->slots, "case {$case}");
            self::assertCount(count($people), [...$plan->slots, ...$plan->unplaced]);
            $left += count($plan->unplaced);
        }
        self::assertGreaterThan(100, $left, 'many of these cannot all be placed');
    }

    /**
     * Every way of putting people into stretches, tried.
     *
     * @param  list<Ground>  $grounds
     * @param  list<ToObserve>  $people
     */
    private function most(array $grounds, array $people): int
    {
        if ($people === []) {
            return 0;
        }
        $one = array_shift($people);
        $best = $this->most($grounds, $people);
        foreach ($grounds as $n => $ground) {
            if (array_intersect($ground->observers, $one->not) === [] && $ground->minutes() >= $one->minutes) {
                $less = $grounds;
                $rest = $ground->from->modify("+{$one->minutes} minutes");
                if ($rest < $ground->to) {
                    $less[$n] = new Ground($ground->id, $ground->room, $rest, $ground->to, $ground->observers);
                } else {
                    unset($less[$n]);
                    $less = array_values($less);
                }
                $best = max($best, 1 + $this->most($less, $people));
            }
        }

        return $best;
    }

    public function test_a_room_or_an_observer_is_in_one_place_at_a_time(): void
    {
        foreach ([
            [$this->ground('a', '09:00', '10:00', ['o1'], 'Hall'), $this->ground('b', '09:30', '11:00', ['o2'], 'Hall')],
            [$this->ground('a', '09:00', '10:00', ['o1']), $this->ground('b', '09:30', '11:00', ['o2', 'o1'])],
        ] as $grounds) {
            try {
                SlotPlan::of($grounds, [], 0);
                self::fail('both at once');
            } catch (InvalidInput $e) {
                self::assertSame('grounds.b', $e->faults[0]->place);
            }
        }
        SlotPlan::of([$this->ground('a', '09:00', '10:00', ['o1'], 'Hall'), $this->ground('b', '10:00', '11:00', ['o1'], 'Hall')], [], 0);
        foreach ([fn () => $this->ground('a', '10:00', '10:00'), fn () => $this->ground('a', '09:00', '10:00', [])] as $wrong) {
            try {
                $wrong();
                self::fail('no ground');
            } catch (InvalidInput) {
                self::assertTrue(true);
            }
        }
    }

    public function test_a_slot_across_a_change_of_the_clock_is_as_long_as_any(): void
    {
        // On 25 October 2026 clocks in London go back from 02:00 to 01:00.
        $london = new DateTimeZone('Europe/London');
        $night = new Ground('n', 'Hall', new DateTimeImmutable('2026-10-25 00:30', $london), new DateTimeImmutable('2026-10-25 02:30', $london), ['o1']);
        self::assertSame(180, $night->minutes());
        $plan = SlotPlan::of([$night], [new ToObserve('p1', 60), new ToObserve('p2', 60), new ToObserve('p3', 60)], 0);
        self::assertSame([], $plan->unplaced);
        foreach ($plan->slots as $slot) {
            self::assertSame(3600, $slot->to->getTimestamp() - $slot->from->getTimestamp());
        }
    }

    /** RFC 5545, sections 3.1 (folding), 3.3.5 (times), 3.3.11 (texts). */
    public function test_a_calendar_file_is_written_as_the_standard_says(): void
    {
        $at = new DateTimeImmutable('2026-10-25 01:30', new DateTimeZone('+01:00'));
        $text = Calendar::text([[
            'uid' => 'a@merrow.example', 'from' => $at, 'to' => $at->modify('+20 minutes'), 'title' => 'Viva; part 1, “tide mills”',
            'place' => 'Room 4\\North', 'words' => str_repeat('Ein Wort über Gezeiten. ', 12)."\nZweite Zeile", 'sequence' => 2, 'cancelled' => false,
        ]], $at, 'Slots');
        self::assertStringStartsWith("BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:", $text);
        self::assertStringEndsWith("END:VEVENT\r\nEND:VCALENDAR\r\n", $text);
        foreach (explode("\r\n", $text) as $line) {
            self::assertLessThanOrEqual(75, strlen($line));
            self::assertTrue(mb_check_encoding($line, 'UTF-8'), 'no character is cut');
        }
        $whole = str_replace("\r\n ", '', $text);
        self::assertStringContainsString("DTSTART:20261025T003000Z\r\nDTEND:20261025T005000Z\r\n", $whole);
        self::assertStringContainsString('SUMMARY:Viva\\; part 1\\, “tide mills”', $whole);
        self::assertStringContainsString('LOCATION:Room 4\\\\North', $whole);
        self::assertStringContainsString('Gezeiten. \\nZweite Zeile', $whole);
    }
}
