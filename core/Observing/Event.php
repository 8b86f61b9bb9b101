<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Observing;

use DateTimeImmutable;
use DateTimeZone;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * One thing an observer's device recorded. It is never changed: what was recorded wrongly is taken back by another.
 */
final readonly class Event
{
    public const LONGEST_NOTE = 2000;

    /** Days that a device's clock may be wrong by before nothing it says is believed. */
    private const MOST_DAYS = 400;

    /** Milliseconds: the year 2000 and the year 2100, between which a device's clock stands. */
    private const EARLIEST = 946_684_800_000;

    public const LATEST = 4_102_444_800_000;

    /**
     * @param  string  $id  made by the device, a UUID
     * @param  DateTimeImmutable  $at  when, by the server's clock
     * @param  int  $number  of the events of its device, so that two of one second keep their order
     * @param  string  $about  the criterion, "criterion/step", or the event that is taken back; "" for the whole
     * @param  string  $value  a stop, what was seen, how it went, or the words of a note
     */
    private function __construct(
        public string $id, public EventKind $kind,
        public DateTimeImmutable $at,
        public int $number, public string $about,
        public string $value,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  id, kind, at (milliseconds of the device's clock), number, about, value
     * @param  int  $ahead  milliseconds that the device's clock is ahead of the server's
     *
     * @throws InvalidInput naming each place that is wrong
     */
    public static function read(array $document, int $ahead): self
    {
        $in = new Document;
        $in->onlyKeys($document, ['id', 'kind', 'at', 'number', 'about', 'value']);
        $id = strtolower($in->text($document, 'id', 'id', 36, true));
        preg_match('/\A[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}\z/', $id) === 1 || $in->fault('id', 'is no UUID');
        $kind = is_string($document['kind'] ?? null) ? EventKind::tryFrom($document['kind']) : null;
        $kind === null && $in->fault('kind', 'is nothing that is recorded');
        $at = $in->whole($document, 'at', 'at', self::EARLIEST, self::LATEST);
        abs($ahead) <= self::MOST_DAYS * 86_400_000 || $in->fault('at', 'is of a clock that is wrong by more than a year');
        $value = $in->text($document, 'value', 'value', self::LONGEST_NOTE);
        $fault = match (true) {
            $kind === EventKind::Step && StepSeen::tryFrom($value) === null => 'is no way to see a step',
            $kind === EventKind::Course && Course::tryFrom($value) === null => 'is no way it can go',
            $kind === EventKind::Note && trim($value) === '' => 'has no words',
            default => null,
        };
        $fault === null || $in->fault('value', $fault);
        $event = new self(
            $id, $kind ?? EventKind::Note, self::time($at - $ahead), $in->whole($document, 'number', 'number', 0, 1_000_000),
            $in->text($document, 'about', 'about', 120), $value,
        );
        $in->throwFaults();

        return $event;
    }

    public static function of(
        string $id, EventKind $kind, DateTimeImmutable $at, int $number, string $about, string $value,
    ): self {
        return new self($id, $kind, $at, $number, $about, $value);
    }

    private static function time(int $milliseconds): DateTimeImmutable
    {
        $seconds = intdiv($milliseconds, 1000);

        return (new DateTimeImmutable("@{$seconds}"))->setTimezone(new DateTimeZone('UTC'))
            ->modify('+'.max(0, $milliseconds - 1000 * $seconds).' milliseconds');
    }
}
