<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Input\JsonForm;

/**
 * How members of groups rate what each contributed, and what follows for their marks; its time stands beside it.
 */
final readonly class ContributionSettings implements JsonForm
{
    /** Points that each criterion gives a member: nothing, little, some, a full share, more than that. */
    public const MOST_POINTS = 4;

    public const MOST_CRITERIA = 6;

    private const KEYS = ['criteria', 'weight', 'own', 'silent_even', 'floor', 'cap'];

    private const USUAL = [
        'criteria' => ['Finding and reading sources', 'Writing and drawing', 'Keeping times and agreements'],
        'weight' => 50, 'own' => true, 'silent_even' => true, 'floor' => 50, 'cap' => 120,
    ];

    /**
     * @param  list<string>  $criteria  what is rated; one to six
     * @param  int<0, 100>  $weight  how far a factor moves the mark, in per cent
     * @param  bool  $own  whether what members give themselves counts
     * @param  bool  $silentEven  whether who rated nobody counts as having given everyone the same; else as no rater
     * @param  int<0, 100>|null  $floor  least part of the group's mark, in per cent
     * @param  int<100, 300>|null  $cap  most
     */
    private function __construct(
        public array $criteria, public int $weight, public bool $own, public bool $silentEven, public ?int $floor,
        public ?int $cap,
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
        $in->onlyKeys($document, self::KEYS);
        $document += self::USUAL;
        $criteria = [];
        foreach ($in->map($document, 'criteria', 'criteria') as $one) {
            is_string($one) && trim($one) !== '' && mb_strlen($one) <= 120
                ? $criteria[] = trim($one) : $in->fault('criteria', 'must be texts of 1 to 120 characters');
        }
        $count = count(array_unique($criteria));
        $count >= 1 && $count <= self::MOST_CRITERIA
            || $in->fault('criteria', 'must be one to '.self::MOST_CRITERIA.' different ones');
        $bound = fn (string $key, int $least, int $most): ?int => $document[$key] === null
            ? null : max($least, min($most, $in->whole($document, $key, $key, $least, $most)));
        $settings = new self(
            array_values(array_unique($criteria)),
            max(0, min(100, $in->whole($document, 'weight', 'weight', 0, 100))),
            $in->flag($document, 'own', 'own', true), $in->flag($document, 'silent_even', 'silent_even', true),
            self::floorOf($bound('floor', 0, 100)), self::capOf($bound('cap', 100, 300)),
        );
        $in->throwFaults();

        return $settings;
    }

    /** @return int<0, 100>|null */
    private static function floorOf(?int $floor): ?int
    {
        return $floor === null ? null : max(0, min(100, $floor));
    }

    /** @return int<100, 300>|null */
    private static function capOf(?int $cap): ?int
    {
        return $cap === null ? null : max(100, min(300, $cap));
    }

    public function toArray(): array
    {
        return [
            'criteria' => $this->criteria, 'weight' => $this->weight, 'own' => $this->own,
            'silent_even' => $this->silentEven, 'floor' => $this->floor, 'cap' => $this->cap,
        ];
    }
}
