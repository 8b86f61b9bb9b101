<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

/**
 * One text as it takes part in a comparison: what is measured of it by itself, its words as numbers, and the pairs of
 * words in a row that its sentences are made of.
 */
final readonly class Sample
{
    /**
     * @param  array<string, float|null>  $measures  by signal
     * @param  array<string, int>  $counts  how often each word stands in it
     * @param  list<array<int, int>>  $sentences  pairs of words by key (see BigramModel), with how often, a sentence each
     * @param  array<int, int>  $pairs  the same of the whole text
     */
    private function __construct(
        public array $measures,
        public array $counts,
        public array $sentences,
        public array $pairs,
        public int $words,
    ) {
    }

    public static function of(Prose $prose, Vocabulary $vocabulary): self
    {
        $sentences = $pairs = [];
        foreach (array_keys($prose->sentences) as $n) {
            $of = [];
            $before = Vocabulary::START;
            foreach ($prose->sentence($n) as $word) {
                $number = $vocabulary->number($word);
                $pair = $before * Vocabulary::FACTOR + $number;
                $of[$pair] = ($of[$pair] ?? 0) + 1;
                $pairs[$pair] = ($pairs[$pair] ?? 0) + 1;
                $before = $number;
            }
            $sentences[] = $of;
        }
        $counts = [];
        foreach (array_count_values($prose->words) as $word => $times) {
            $counts[(string) $word] = $times;
        }

        return new self(Measures::of($prose), $counts, $sentences, $pairs, $prose->count());
    }
}
