<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Observing;

use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Input\JsonForm;

/**
 * How people are observed; days, rooms and observers stand beside it.
 */
final readonly class Settings implements JsonForm
{
    public const LONGEST = 480;

    /** Characters of the rules in words. */
    public const LONGEST_RULES = 2000;

    private const USUAL = ['minutes' => 20, 'gap' => 5, 'swaps' => true, 'rules' => '', 'slides' => false];

    /**
     * @param  int<5, 480>  $minutes  of a slot
     * @param  int<0, 120>  $gap  minutes between two slots in a room
     * @param  bool  $swaps  whether students may ask to swap slots
     * @param  string  $rules  what follows when someone does not come, comes late, begins again or is stopped
     * @param  bool  $slides  whether a file is handed in beforehand, until the slot begins
     */
    private function __construct(
        public int $minutes, public int $gap, public bool $swaps, public string $rules, public bool $slides,
    ) {
    }

    public static function usual(): static
    {
        return self::fromArray([]);
    }

    /**
     * @param  array<array-key, mixed>  $document  what is left out is as usual
     *
     * @throws InvalidInput naming each place that is wrong
     */
    public static function fromArray(array $document): static
    {
        $in = new Document;
        $in->onlyKeys($document, array_keys(self::USUAL));
        $document += self::USUAL;
        $settings = new self(
            max(5, min(self::LONGEST, $in->whole($document, 'minutes', 'minutes', 5, self::LONGEST))),
            max(0, min(120, $in->whole($document, 'gap', 'gap', 0, 120))), $in->flag($document, 'swaps', 'swaps', true),
            $in->text($document, 'rules', 'rules', self::LONGEST_RULES), $in->flag($document, 'slides', 'slides', false),
        );
        $in->throwFaults();

        return $settings;
    }

    public function toArray(): array
    {
        return [
            'minutes' => $this->minutes, 'gap' => $this->gap, 'swaps' => $this->swaps, 'rules' => $this->rules,
            'slides' => $this->slides,
        ];
    }
}
