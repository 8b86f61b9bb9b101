<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Fairway\Counts;
use YoungHarbor\Core\Fairway\Fairway;
use YoungHarbor\Core\Fairway\StageProgress;
use YoungHarbor\Core\Marking\Facts;
use YoungHarbor\Core\Marking\Panel;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SeatMark;
use YoungHarbor\Core\Marking\Standing;
use YoungHarbor\Core\Release\ReadyCheck;
use YoungHarbor\Core\Release\ReleaseObstacle;

final class StandingTest extends TestCase
{
    /**
     * @param  list<string>  $facts
     */
    #[DataProvider('facts')]
    public function test_a_script_stands_where_its_facts_put_it(array $facts, Standing $standing): void
    {
        $has = fn (string $fact): bool => in_array($fact, $facts, true);
        $mark = fn (Seat $seat, bool $done, bool $begun): SeatMark => $done
            ? SeatMark::done($seat, 60)
            : ($begun ? SeatMark::begun($seat) : SeatMark::waiting($seat));
        $panel = Panel::of(
            ...($has('out') ? [$mark(Seat::First, $has('first'), false)] : []),
            ...($has('two') ? [$mark(Seat::Second, $has('second'), $has('begun'))] : []),
        );
        self::assertSame(
            $standing, Standing::of(new Facts($has('in'), $has('agreed'), $has('held'), $has('released')), $panel),
        );
    }

    /**
     * @return list<array{list<string>, Standing}>
     */
    public static function facts(): array
    {
        return [
            [[], Standing::Expected],
            [['in'], Standing::HandedIn],
            [['in', 'out', 'two'], Standing::WithMarker],
            [['in', 'out', 'two', 'begun', 'second'], Standing::WithMarker],
            [['in', 'out', 'two', 'first'], Standing::MarkedOnce],
            [['in', 'out', 'two', 'first', 'begun'], Standing::WithSecondMarker],
            [['in', 'out', 'two', 'first', 'begun', 'second'], Standing::ToSettle],
            [['in', 'out', 'first', 'agreed'], Standing::Agreed],
            [['in', 'out', 'first', 'agreed', 'held'], Standing::Held],
            [['in', 'out', 'first', 'agreed', 'released'], Standing::Released],
        ];
    }

    public function test_the_ready_check_names_what_stands_in_the_way(): void
    {
        $check = ReadyCheck::of([
            'TERN-001' => Standing::HandedIn, 'TERN-002' => Standing::WithMarker, 'TERN-003' => Standing::MarkedOnce,
            'TERN-004' => Standing::WithSecondMarker, 'TERN-005' => Standing::ToSettle, 'TERN-006' => Standing::Agreed,
            'TERN-007' => Standing::Held, 'TERN-008' => Standing::Expected, 'TERN-009' => Standing::Released,
        ], marksTwice: true);

        self::assertFalse($check->isClear());
        self::assertSame(['TERN-006'], $check->ready);
        self::assertSame(['TERN-008'], $check->absent);
        self::assertSame([1, 1, 2, 1, 1], array_map(fn ($lock) => count($lock->scripts), $check->locks));
        self::assertSame(ReleaseObstacle::NoSecondMark, $check->locks[2]->obstacle);
        self::assertTrue(
            ReadyCheck::of(['TERN-006' => Standing::Agreed, 'TERN-008' => Standing::Expected], true)->isClear()
        );
    }

    public function test_the_fairway_says_how_far_each_stage_is(): void
    {
        $marks = Fairway::of(new Counts(true, true, 24, 23, 23, 0, 22, 4, 10, true, 8, 2, 5, 0, 0));
        self::assertSame(
            [
                StageProgress::Done, StageProgress::Done, StageProgress::Done, StageProgress::UnderWay,
                StageProgress::UnderWay,
                StageProgress::UnderWay, StageProgress::NotBegun,
            ],
            array_map(fn ($mark) => $mark->progress, $marks),
        );
        self::assertSame(
            ['share-out', 'moderate'],
            array_values(
                array_map(fn ($mark) => $mark->stage->value, array_filter($marks, fn ($mark) => $mark->needsYou))
            ),
        );
        self::assertSame('1 not shared out', $marks[3]->note);
        self::assertSame(
            '4 ready', Fairway::of(new Counts(true, true, 24, 23, 23, 0, 22, 4, 10, true, 8, 2, 5, 1, 0))[6]->note,
            'what is held is not ready',
        );
        $screen = Fairway::of(new Counts(true, true, 24, 23, 23, 0, 22, 4, 10, true, 8, 2, 5, 0, 0, 3))[2];
        self::assertSame(['3 to look at', true], [$screen->note, $screen->needsYou]);
        self::assertSame(
            '20 of 23 compared',
            Fairway::of(new Counts(true, true, 24, 23, 20, 0, 22, 4, 10, true, 8, 2, 5, 0, 0, 3))[2]->note,
        );
    }
}
