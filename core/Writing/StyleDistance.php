<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

/**
 * Burrows's Delta: the mean absolute difference of the z-scored relative frequencies of the most frequent words.
 *
 * J. Burrows, "'Delta': a measure of stylistic difference and a guide to likely authorship", Literary and Linguistic
 * Computing 17, 2002. On open texts it puts two texts of one speaker nearer than two of different speakers in about
 * four of five cases, and in two of three when they spoke in the same years: style alone is weak evidence.
 */
final class StyleDistance
{
    public const FREQUENT = 150;

    /**
     * @param  list<string>  $words
     * @param  list<float>  $means  of their relative frequencies
     * @param  list<float>  $spreads  standard deviations
     */
    private function __construct(
        private readonly array $words,
        private readonly array $means,
        private readonly array $spreads,
    ) {
    }

    /**
     * @param  list<array<string, int>>  $texts  counts by word of the texts that say what is usual
     * @param  list<string>|null  $words  the frequent words; those of the texts when none are given
     */
    public static function among(array $texts, ?array $words = null): self
    {
        if ($words === null) {
            $counts = [];
            foreach ($texts as $text) {
                foreach ($text as $word => $times) {
                    $counts[(string) $word] = ($counts[(string) $word] ?? 0) + $times;
                }
            }
            $words = FrequentWords::of($counts, self::FREQUENT);
        }
        $profiles = array_map(fn (array $text) => FrequentWords::profile($text, $words), $texts);
        $n = max(1, count($profiles));
        $kept = $means = $spreads = [];
        foreach ($words as $j => $word) {
            $values = array_column($profiles, $j);
            $mean = array_sum($values) / $n;
            $spread = sqrt(array_sum(array_map(fn (float $value) => ($value - $mean) ** 2, $values)) / max(1, $n - 1));
            if ($spread > 0) {
                [$kept[], $means[], $spreads[]] = [$word, $mean, $spread];
            }
        }

        return new self($kept, $means, $spreads);
    }

    /**
     * @param  array<string, int>  $text  counts by word
     * @return list<float> z-scores
     */
    public function profile(array $text): array
    {
        return array_map(
            fn (float $value, float $mean, float $spread) => ($value - $mean) / $spread,
            FrequentWords::profile($text, $this->words), $this->means, $this->spreads,
        );
    }

    /**
     * @param  list<float>  $a  z-scores
     * @param  list<float>  $b
     */
    public static function between(array $a, array $b): float
    {
        return $a === [] ? 0.0 : array_sum(array_map(fn (float $x, float $y) => abs($x - $y), $a, $b)) / count($a);
    }
}
