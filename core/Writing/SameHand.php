<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

/**
 * How far a text lies in style from its writer's own earlier work, and how far texts of others lie from that work.
 *
 * The p-value is the share of texts, the one asked about among the others', that lie at least as far. One near 1 is what a
 * writer's own text mostly gives: nearly all texts of others lie farther. One that is not says only that the text is no
 * nearer than those of others.
 */
final readonly class SameHand
{
    /** Fewer words of earlier work say too little. */
    public const LEAST_OWN_WORDS = 500;

    private const LEAST_OTHERS = 9;

    /**
     * @param  int  $farther  texts of others at least as far from the earlier work
     * @param  int  $others  texts of others
     * @param  int  $ownWords  words of earlier work
     */
    private function __construct(
        public float $distance,
        public int $farther,
        public int $others,
        public int $ownWords,
    ) {
    }

    /**
     * @param  list<Prose>  $own  earlier work of the same writer
     * @param  list<Prose>  $others  texts of others
     * @return self|null null when there is too little of either
     */
    public static function of(Prose $text, array $own, array $others): ?self
    {
        $earlier = self::counts(array_merge([], ...array_map(fn (Prose $one) => $one->words, $own)));
        if (
            array_sum($earlier) < self::LEAST_OWN_WORDS || count($others) < self::LEAST_OTHERS || $text->count() === 0
        ) {
            return null;
        }
        $asked = self::counts($text->words);
        $counts = array_map(fn (Prose $one) => self::counts($one->words), $others);
        // Every text takes part in saying what is usual, the one asked about like the others.
        $style = StyleDistance::among([...$counts, $asked]);
        $from = $style->profile($earlier);
        $distance = StyleDistance::between($style->profile($asked), $from);
        $farther = count(
            array_filter($counts, fn (array $one) => StyleDistance::between($style->profile($one), $from) >= $distance)
        );

        return new self($distance, $farther, count($others), array_sum($earlier));
    }

    public function p(): float
    {
        return (1 + $this->farther) / (1 + $this->others);
    }

    /**
     * @param  list<string>  $words
     * @return array<string, int>
     */
    public static function counts(array $words): array
    {
        return array_count_values($words);
    }
}
