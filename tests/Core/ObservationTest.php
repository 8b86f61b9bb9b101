<?php

declare(strict_types=1);

namespace Tests\Core;

use DateTimeImmutable;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Observing\Course;
use YoungHarbor\Core\Observing\Event;
use YoungHarbor\Core\Observing\EventKind;
use YoungHarbor\Core\Observing\Observation;
use YoungHarbor\Core\Observing\StepSeen;

/**
 * What an observer's devices recorded, out of single events.
 */
final class ObservationTest extends TestCase
{
    private int $number = 0;

    private function event(string $id, EventKind $kind, string $at, string $about = '', string $value = ''): Event
    {
        return Event::of($id, $kind, new DateTimeImmutable("2026-12-07T{$at}Z"), $this->number++, $about, $value);
    }

    /**
     * @return list<Event>
     */
    private function morning(): array
    {
        return [
            $this->event('e1', EventKind::Start, '09:00:00'),
            $this->event('e2', EventKind::Step, '09:01:10', 'c1/s1', 'done'),
            $this->event('e3', EventKind::Step, '09:02:00', 'c1/s2', 'not'),
            $this->event('e4', EventKind::Pause, '09:05:00'),
            $this->event('e5', EventKind::Start, '09:07:00'),
            $this->event('e6', EventKind::Step, '09:08:00', 'c1/s2', 'partly'),
            $this->event('e7', EventKind::Note, '09:08:30', 'c1', 'Slower with the knot.'),
            $this->event('e8', EventKind::Level, '09:09:00', 'c2', 'l2'),
            $this->event('e9', EventKind::Level, '09:09:05', 'c2', 'l4'),
            $this->event('e10', EventKind::Undo, '09:09:10', 'e9'),
            $this->event('e11', EventKind::Evidence, '09:09:30', 'c1/s1', 'photo'),
            $this->event('e12', EventKind::Course, '09:10:00', '', 'late'),
        ];
    }

    public function test_the_last_of_each_holds_and_the_clock_counts_what_it_ran(): void
    {
        $seen = Observation::of($this->morning());
        self::assertSame([StepSeen::Done, StepSeen::Partly], [$seen->steps['c1/s1']['seen'], $seen->steps['c1/s2']['seen']]);
        self::assertSame('09:01:10', $seen->steps['c1/s1']['at']->format('H:i:s'));
        self::assertSame('l2', $seen->levels['c2']['stop'], 'what came after it was taken back');
        self::assertSame(['Slower with the knot.'], array_column($seen->notes, 'text'));
        self::assertSame(['photo'], array_column($seen->evidence, 'file'));
        self::assertSame(Course::CameLate, $seen->course);
        self::assertSame('09:00:00', $seen->began?->format('H:i:s'));
        self::assertSame(300, $seen->seconds);
        self::assertSame(300 + 480, $seen->runAt(new DateTimeImmutable('2026-12-07T09:15:00Z')), 'past its time it runs on');
    }

    public function test_the_order_of_arrival_and_what_comes_twice_change_nothing(): void
    {
        $events = $this->morning();
        $random = new Randomizer(new Mt19937(3));
        $once = Observation::of($events);
        for ($n = 0; $n < 200; $n++) {
            $mixed = $random->shuffleArray([...$events, ...array_slice($events, 0, $n % 12)]);
            self::assertEquals($once, Observation::of($mixed));
        }
    }

    public function test_an_undo_can_be_taken_back_and_pressing_start_twice_runs_once(): void
    {
        $events = [...$this->morning(), $this->event(
            'e13', EventKind::Undo, '09:11:00', 'e10',
        ), $this->event('e14', EventKind::Start, '09:11:30')];
        $seen = Observation::of($events);
        self::assertSame('l4', $seen->levels['c2']['stop']);
        self::assertSame('09:07:00', $seen->since?->format('H:i:s'));
        self::assertSame(0, Observation::of([$this->event('p', EventKind::Pause, '09:00:00')])->seconds, 'nothing ran');
    }

    public function test_times_are_the_servers_though_a_devices_clock_is_an_hour_off(): void
    {
        $at = (int) (new DateTimeImmutable('2026-12-07T10:00:00Z'))->format('Uv');
        $document = [
            'id' => '3f2c7a10-8d5e-4c1b-9f8f-1b8f0b6f9a11', 'kind' => 'step', 'at' => $at + 250, 'number' => 4,
            'about' => 'c1/s1', 'value' => 'done',
        ];
        self::assertSame('2026-12-07 09:00:00.250', Event::read($document, 3_600_000)->at->format('Y-m-d H:i:s.v'));
        self::assertSame('2026-12-07 11:00:00.250', Event::read($document, -3_600_000)->at->format('Y-m-d H:i:s.v'));
        foreach ([
            ['id' => 'x'], ['kind' => 'dance'], ['at' => -1], ['value' => 'maybe'], ['value' => str_repeat('x', 2001)], ['mood' => 'good'],
        ] as $wrong) {
            try {
                Event::read([...$document, ...$wrong], 0);
                self::fail((string) json_encode($wrong));
            } catch (InvalidInput $e) {
                self::assertSame(array_key_first($wrong), $e->faults[0]->place);
            }
        }
        $this->expectException(InvalidInput::class);
        Event::read($document, 401 * 86_400_000);
    }
}
