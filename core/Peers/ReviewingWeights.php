<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

/**
 * What a mark for reviewing is made of, and how much each part weighs in it.
 */
final readonly class ReviewingWeights
{
    public const PARTS = ['done', 'on_time', 'words', 'useful', 'near'];

    private const USUAL = ['done' => 40, 'on_time' => 10, 'words' => 20, 'useful' => 15, 'near' => 15];

    /**
     * @param  array<string, int<0, 100>>  $weights  in per cent by part; they total 100
     */
    private function __construct(public array $weights)
    {
    }

    public static function usual(): self
    {
        return new self(self::USUAL);
    }

    /**
     * @param  array<array-key, mixed>  $weights  whole per cents by part; what is left out weighs nothing
     * @param  callable(string): void  $fault  told what is wrong
     */
    public static function read(array $weights, callable $fault): self
    {
        $read = [];
        foreach (self::PARTS as $part) {
            $weight = $weights[$part] ?? 0;
            if (! is_int($weight) || $weight < 0 || $weight > 100) {
                $fault("{$part} must weigh from 0 to 100 per cent, in whole ones");
                $weight = 0;
            }
            $read[$part] = $weight;
        }
        $total = array_sum($read);
        $total === 100 || $fault("must total 100 per cent, not {$total}");

        return new self($read);
    }
}
