<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Observing;

use DateTimeImmutable;

/**
 * When and where someone is observed, and by whom.
 */
final readonly class Slot
{
    /**
     * @param  list<string>  $observers  by id
     */
    public function __construct(
        public string $who, public string $room, public DateTimeImmutable $from, public DateTimeImmutable $to,
        public array $observers,
    ) {
    }

    /** Whether both need the same room, observer or person at one time. */
    public function clashesWith(self $other): bool
    {
        return $this->from < $other->to && $other->from < $this->to && (
            $this->room === $other->room || $this->who === $other->who
            || array_intersect($this->observers, $other->observers) !== []
        );
    }
}
