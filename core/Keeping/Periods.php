<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Keeping;

use DateTimeImmutable;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Input\JsonForm;

/**
 * For how long each kind of thing is kept, in months; a kind without a period is kept until somebody decides. An
 * institution has periods, and a module may have others in the place of some.
 */
final readonly class Periods implements JsonForm
{
    /** Fifty years. */
    public const MOST_MONTHS = 600;

    /**
     * @param  array<string, int>  $months  by kind
     */
    private function __construct(private array $months)
    {
    }

    public static function usual(): static
    {
        return new self([]);
    }

    /**
     * @param  array<array-key, mixed>  $document  months by kind
     *
     * @throws InvalidInput naming each kind that is wrong, or unknown
     */
    public static function fromArray(array $document): static
    {
        $in = new Document;
        $in->onlyKeys($document, array_column(Kind::cases(), 'value'));
        $months = [];
        foreach (Kind::cases() as $kind) {
            if (isset($document[$kind->value])) {
                $months[$kind->value] = $in->whole($document, $kind->value, $kind->value, 1, self::MOST_MONTHS);
            }
        }
        $in->throwFaults();

        return new self($months);
    }

    /**
     * @return array<string, int>
     */
    public function toArray(): array
    {
        return $this->months;
    }

    public function isEmpty(): bool
    {
        return $this->months === [];
    }

    /** Null where nothing is said of it. */
    public function months(Kind $kind): ?int
    {
        return $this->months[$kind->value] ?? null;
    }

    /** These, with a module's own in the place of those it has. Mail and the logbook are not a module's to say. */
    public function with(self $ofModule): self
    {
        $own = array_intersect_key($ofModule->months, array_flip(array_column(Kind::ofAssignments(), 'value')));

        return new self([...$this->months, ...$own]);
    }

    /**
     * What would be kept for longer than the marks it belongs to, which cannot be.
     *
     * @return list<Kind>
     */
    public function longerThanMarks(): array
    {
        $marks = $this->months(Kind::Marks);

        return $marks === null ? [] : array_values(array_filter(
            Kind::notAfterMarks(),
            fn (Kind $kind) => $this->months($kind) !== null && $this->months($kind) > $marks,
        ));
    }

    /**
     * The first day on which it is to go: so many calendar months later, or the last day of that month where it has no
     * such day, as people count years and months (31 August and six months: 28 February).
     *
     * @param  DateTimeImmutable  $from  when what it belongs to was over, in the zone of the institution
     * @return DateTimeImmutable|null its beginning; null where it is kept until somebody decides
     */
    public function endOf(Kind $kind, DateTimeImmutable $from): ?DateTimeImmutable
    {
        $months = $this->months($kind);

        return $months === null ? null : self::shifted($from, $months);
    }

    /**
     * What is older than that is to go: so many calendar months before a day.
     *
     * @return DateTimeImmutable|null null where it is kept until somebody decides
     */
    public function keptSince(Kind $kind, DateTimeImmutable $day): ?DateTimeImmutable
    {
        $months = $this->months($kind);

        return $months === null ? null : self::shifted($day, -$months);
    }

    private static function shifted(DateTimeImmutable $from, int $months): DateTimeImmutable
    {
        $count = (int) $from->format('Y') * 12 + (int) $from->format('n') - 1 + $months;
        $first = $from->setDate(intdiv($count, 12), $count % 12 + 1, 1)->setTime(0, 0);

        return $first->setDate(
            (int) $first->format('Y'), (int) $first->format('n'),
            min((int) $from->format('j'), (int) $first->format('t')),
        )->setTime(0, 0);
    }
}
