<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Input\JsonForm;

/**
 * Whose comments a student reads with the agreed mark.
 */
final readonly class Feedback implements JsonForm
{
    private const LONGEST = 20_000;

    /**
     * @param  non-empty-list<Seat>  $from  seats whose comments go out, in their order
     * @param  string|null  $general  what is said in general in place of what they wrote; null for theirs as they stand
     */
    public function __construct(public array $from, public ?string $general = null)
    {
    }

    /** The first marker's alone, as they stand. */
    public static function usual(): static
    {
        return new self([Seat::First]);
    }

    /**
     * @param  array<array-key, mixed>  $document  {"from": ["first", "second"], "general": null}
     *
     * @throws InvalidInput for a seat that is none, or nobody's comments
     */
    public static function fromArray(array $document): static
    {
        $in = new Document;
        $in->onlyKeys($document, ['from', 'general']);
        $seats = [];
        foreach ($in->map($document, 'from', 'from') as $key) {
            $seat = is_string($key) ? Seat::tryFrom($key) : null;
            $seat === null ? $in->fault('from', 'must name seats such as "first"') : $seats[$seat->value] = $seat;
        }
        $general = ($document['general'] ?? null) === null
            ? null
            : $in->text($document, 'general', 'general', self::LONGEST);
        $inOrder = array_values(array_filter(Seat::cases(), fn (Seat $seat) => isset($seats[$seat->value])));
        if ($inOrder === []) {
            $in->fault('from', 'choose whose comments the student is to read');
        }
        $in->throwFaults();
        assert($inOrder !== []);

        return new self($inOrder, $general);
    }

    /**
     * @return array{from: list<string>, general: string|null}
     */
    public function toArray(): array
    {
        return ['from' => array_map(fn (Seat $seat) => $seat->value, $this->from), 'general' => $this->general];
    }

    public function has(Seat $seat): bool
    {
        return in_array($seat, $this->from, true);
    }
}
