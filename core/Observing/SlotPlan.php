<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Observing;

use DateTimeZone;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Slots for everyone who is to be observed: who is kept from an observer is not observed by them, who is allowed more
 * time has a longer slot, and between two slots in a room lies a gap.
 *
 * Each is put into a stretch of time where they may be; when none has room, someone there is put elsewhere, and so on
 * (augmenting paths, H. W. Kuhn, The Hungarian method, Naval Research Logistics Quarterly 2, 1955). Where all slots
 * are of
 * one length that places as many as can be placed. Where lengths differ it may leave one out that another order would
 * place: then the longest have been placed first.
 */
final readonly class SlotPlan
{
    /** Minutes to which lengths are rounded up: people meet at fives of minutes. Common practice, no source. */
    public const STEP = 5;

    /**
     * @param  list<Slot>  $slots  in order of time
     * @param  array<string, string>  $unplaced  who has none, and why: kept (no stretch is without an observer they are kept from) or full
     */
    private function __construct(public array $slots, public array $unplaced)
    {
    }

    /**
     * @param  list<Ground>  $grounds
     * @param  list<ToObserve>  $people  in the order in which they are to come, where they may
     * @param  int  $gap  minutes between two slots in a room
     *
     * @throws InvalidInput when two stretches need a room or an observer at one time
     */
    public static function of(array $grounds, array $people, int $gap): self
    {
        self::refuseClashes($grounds);
        $placing = new Placing($grounds, $people, $gap);
        $order = array_keys($people);
        usort($order, fn (int $a, int $b) => [$people[$b]->minutes, $a] <=> [$people[$a]->minutes, $b]);
        $unplaced = [];
        foreach ($order as $who) {
            if (! $placing->place($who)) {
                $unplaced[$people[$who]->id] = $placing->why($who);
            }
        }
        $slots = [];
        foreach ($grounds as $n => $ground) {
            // Minutes are added in a zone whose clock never changes.
            $at = $ground->from->setTimezone(new DateTimeZone('UTC'));
            foreach ($placing->in($n) as $who) {
                $to = $at->modify('+'.$people[$who]->minutes.' minutes');
                $slots[] = new Slot($people[$who]->id, $ground->room, $at, $to, $ground->observers);
                $at = $to->modify("+{$gap} minutes");
            }
        }
        usort($slots, fn (Slot $a, Slot $b) => [$a->from, $a->room] <=> [$b->from, $b->room]);

        return new self($slots, $unplaced);
    }

    /**
     * Minutes of a slot for someone who is allowed more time.
     *
     * @param  int  $percent  more
     */
    public static function lengthened(int $minutes, int $percent): int
    {
        return (int) (ceil($minutes * (100 + $percent) / 100 / self::STEP) * self::STEP);
    }

    /**
     * @param  list<Ground>  $grounds
     *
     * @throws InvalidInput
     */
    private static function refuseClashes(array $grounds): void
    {
        foreach ($grounds as $n => $one) {
            foreach (array_slice($grounds, $n + 1) as $other) {
                if ($one->meets($other) && (
                    $one->room === $other->room || array_intersect($one->observers, $other->observers) !== []
                )) {
                    throw InvalidInput::at(
                        "grounds.{$other->id}", $one->room === $other->room
                            ? "needs {$other->room} at the same time as another stretch"
                            : 'needs an observer who is in another room at that time',
                    );
                }
            }
        }
    }
}
