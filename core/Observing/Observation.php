<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Observing;

use DateTimeImmutable;

/**
 * What one observer recorded of one person, out of single events in whatever order they arrived: from two devices,
 * late,
 * or twice. The last one by time holds, for each step and each criterion.
 */
final readonly class Observation
{
    /**
     * @param  array<string, array{seen: StepSeen, at: DateTimeImmutable}>  $steps  by "criterion/step"
     * @param  array<string, array{stop: string, at: DateTimeImmutable}>  $levels  by criterion
     * @param  list<array{id: string, at: DateTimeImmutable, about: string, text: string}>  $notes
     * @param  list<array{id: string, at: DateTimeImmutable, about: string, file: string}>  $evidence
     * @param  DateTimeImmutable|null  $began  when the clock ran first
     * @param  int  $seconds  it has run until it last stood still
     * @param  DateTimeImmutable|null  $since  since when it runs; null: it stands still
     */
    private function __construct(
        public array $steps, public array $levels, public array $notes, public array $evidence, public Course $course,
        public ?DateTimeImmutable $began, public int $seconds, public ?DateTimeImmutable $since,
    ) {
    }

    /**
     * @param  list<Event>  $events
     */
    public static function of(array $events): self
    {
        $own = [];
        foreach ($events as $event) {
            $own[$event->id] = $event; // what comes twice is the same
        }
        $undone = [];
        foreach ($own as $event) {
            $event->kind === EventKind::Undo && $undone[$event->about] = true;
        }
        // An undo that is taken back itself takes nothing back.
        foreach ($own as $event) {
            if ($event->kind === EventKind::Undo && isset($undone[$event->id])) {
                unset($undone[$event->about]);
            }
        }
        $own = array_filter($own, fn (Event $event) => ! isset($undone[$event->id]));
        usort($own, fn (Event $a, Event $b) => [$a->at, $a->number, $a->id] <=> [$b->at, $b->number, $b->id]);
        $steps = $levels = $notes = $evidence = [];
        $course = Course::Usual;
        $began = $since = null;
        $seconds = 0;
        foreach ($own as $event) {
            match ($event->kind) {
                EventKind::Step => $steps[$event->about] = ['seen' => StepSeen::from($event->value), 'at' => $event->at],
                EventKind::Level => $levels[$event->about] = ['stop' => $event->value, 'at' => $event->at],
                EventKind::Note => $notes[] = [
                    'id' => $event->id, 'at' => $event->at, 'about' => $event->about, 'text' => $event->value,
                ],
                EventKind::Evidence => $evidence[] = [
                    'id' => $event->id, 'at' => $event->at, 'about' => $event->about, 'file' => $event->value,
                ],
                EventKind::Course => $course = Course::from($event->value),
                EventKind::Start => [$began, $since] = [$began ?? $event->at, $since ?? $event->at],
                EventKind::Pause => [$seconds, $since] = [$seconds + self::between($since, $event->at), null],
                EventKind::Undo => null,
            };
        }

        return new self($steps, $levels, $notes, $evidence, $course, $began, $seconds, $since);
    }

    /** Seconds the clock has run at a time. */
    public function runAt(DateTimeImmutable $now): int
    {
        return $this->seconds + self::between($this->since, $now);
    }

    private static function between(?DateTimeImmutable $from, DateTimeImmutable $to): int
    {
        return $from === null ? 0 : max(0, $to->getTimestamp() - $from->getTimestamp());
    }
}
