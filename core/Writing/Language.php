<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

/**
 * The language of some texts, known by their commonest words and by how much of a text those are.
 */
final readonly class Language
{
    /** The commonest words of a language make up about half of any text in it. */
    private const COMMON = 50;

    /**
     * With fewer than this part of the usual share of common words a text is in another language, or no running text.
     */
    private const OTHER = 0.6;

    /**
     * @param  array<string, int>  $common
     */
    private function __construct(
        private array $common,
        private float $usual,
    ) {
    }

    /**
     * @param  array<array-key, Prose>  $texts
     */
    public static function of(array $texts): self
    {
        $counts = $in = [];
        foreach ($texts as $text) {
            foreach (array_count_values($text->words) as $word => $times) {
                $counts[$word] = ($counts[$word] ?? 0) + $times;
                $in[$word] = ($in[$word] ?? 0) + 1;
            }
        }
        // Of the words that stand in at least half of them.
        $common = array_flip(
            FrequentWords::of(
                array_filter($counts, fn (string|int $word) => 2 * $in[$word] >= count($texts), ARRAY_FILTER_USE_KEY),
                self::COMMON,
            )
        );

        return new self(
            $common,
            Quantile::of(array_map(fn (Prose $text) => self::share($text, $common), array_values($texts)), 0.5),
        );
    }

    /** Whether a text is in it. */
    public function has(Prose $text): bool
    {
        return self::share($text, $this->common) >= self::OTHER * $this->usual;
    }

    /**
     * @param  array<string, int>  $common
     */
    private static function share(Prose $text, array $common): float
    {
        return count(array_filter($text->words, fn (string $word) => isset($common[$word]))) / max(1, $text->count());
    }
}
