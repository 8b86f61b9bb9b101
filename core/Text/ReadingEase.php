<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Text;

/**
 * Reading ease of an English text: 206.835 − 1.015 × (words ÷ sentences) − 84.6 × (syllables ÷ words); 100 is very
 * easy, 30 and below reads like a scientific article, and hard texts fall below 0.
 *
 * Source: R. Flesch, A new readability yardstick, Journal of Applied Psychology 32, 1948. Syllables are counted by
 * spelling, which is right for about nine words in ten; the figure is for advice, never for a mark.
 */
final class ReadingEase
{
    /** Too little text says nothing. */
    public const LEAST_WORDS = 25;

    /** @var array<string, int> words counted before: a rubric's descriptors use the same ones over and over */
    private static array $counted = [];

    private const REMEMBERED = 20_000;

    /**
     * @return float|null null for a text too short to say anything about
     */
    public static function of(string $text): ?float
    {
        preg_match_all("/[\\p{L}\\p{M}\\p{N}]+(?:['’-][\\p{L}\\p{M}\\p{N}]+)*/u", mb_strtolower($text), $matches);
        $words = $matches[0];
        if (count($words) < self::LEAST_WORDS) {
            return null;
        }
        $sentences = max(1, preg_match_all('/[^\s.!?…;:]\S*\s*(?:[.!?…;:]+(?=\s|\z)|\n|\z)/u', trim($text)));

        return self::from($words, $sentences);
    }

    /**
     * @param  non-empty-list<string>  $words
     * @param  int<1, max>  $sentences
     */
    public static function from(array $words, int $sentences): float
    {
        $syllables = 0;
        foreach (array_count_values($words) as $word => $times) {
            $syllables += $times * (self::$counted[$word] ?? self::remembered((string) $word));
        }

        return 206.835 - 1.015 * count($words) / $sentences - 84.6 * $syllables / count($words);
    }

    private static function remembered(string $word): int
    {
        if (count(self::$counted) >= self::REMEMBERED) {
            self::$counted = [];
        }

        return self::$counted[$word] = self::syllables($word);
    }

    /** Groups of vowels, less a silent e at the end and in -es and -ed; at least one. */
    public static function syllables(string $word): int
    {
        $word = preg_replace('/[^a-z]/', '', strtolower($word)) ?? '';
        if (strlen($word) <= 3) {
            return 1;
        }
        $word = preg_replace(['/(?:[^laeiouy]es|[^tdaeiouy]ed|[^laeiouy]e)\z/', '/\Ay/'], '', $word) ?? $word;

        return max(1, preg_match_all('/[aeiouy]{1,2}/', $word));
    }
}
