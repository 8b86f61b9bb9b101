<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Observing;

use DateTimeImmutable;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * A stretch of time in one room with those who observe there: what slots are cut from. A pause parts a day into two.
 */
final readonly class Ground
{
    /**
     * @param  string  $id  of the stretch, as its planner knows it
     * @param  list<string>  $observers  who observe there together, by id
     *
     * @throws InvalidInput when it ends before it begins, or nobody observes
     */
    public function __construct(
        public string $id, public string $room, public DateTimeImmutable $from, public DateTimeImmutable $to,
        public array $observers,
    ) {
        $from < $to || throw InvalidInput::at("grounds.{$id}", 'ends before it begins');
        $observers !== [] || throw InvalidInput::at("grounds.{$id}", 'has nobody who observes');
        count(array_unique($observers)) === count($observers) || throw InvalidInput::at("grounds.{$id}", 'names someone twice');
    }

    /** Minutes, as a clock on the wall would not count them where it is put forward or back. */
    public function minutes(): int
    {
        return intdiv($this->to->getTimestamp() - $this->from->getTimestamp(), 60);
    }

    public function meets(self $other): bool
    {
        return $this->from < $other->to && $other->from < $this->to;
    }
}
