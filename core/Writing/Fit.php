<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

/**
 * Whether a text can be measured, and whether it belongs with others.
 */
final class Fit
{
    public const LEAST_WORDS = 300;

    /** Fewer sentences say nothing of how they vary. */
    public const LEAST_SENTENCES = 8;

    /** The commonest words of a language make up about half of any text in it. */
    private const COMMON = 50;

    /** With fewer than this part of the usual share of common words a text is in another language, or no running text. */
    private const OTHER_LANGUAGE = 0.6;

    private const GRAM = 5;

    /** A text that has more than this part of its sequences of words from another is a copy of it. */
    private const COPY = 0.5;

    /** Why a text gives nothing, in words; null when there is enough of it. */
    public static function tooShort(Prose $text, int $least = self::LEAST_WORDS): ?string
    {
        $sentences = count($text->sentences);

        return match (true) {
            $text->count() < $least => "{$text->count()} words of running text can be measured; {$least} are needed".($text->all > $text->count() ? ' (quotations, the bibliography, headings, lists, tables and verse are left out).' : '.'),
            $sentences < self::LEAST_SENTENCES => "It has {$sentences} ".($sentences === 1 ? 'sentence' : 'sentences').' that end in a full stop or the like; '.self::LEAST_SENTENCES.' are needed.',
            default => null,
        };
    }

    /**
     * Which of some texts do not belong, and why: too short, a copy of one before it, in another language than most.
     *
     * @param  list<Prose>  $texts
     * @return array<int, string> by place
     */
    public static function misfits(array $texts, int $least = self::LEAST_WORDS): array
    {
        $out = [];
        foreach ($texts as $n => $text) {
            $why = self::tooShort($text, $least);
            if ($why !== null) {
                $out[$n] = "Too short. {$why}";
            }
        }
        $seen = [];
        foreach ($texts as $n => $text) {
            if (isset($out[$n])) {
                continue;
            }
            $grams = self::grams($text);
            $shared = [];
            foreach ($grams as $gram => $true) {
                if (isset($seen[$gram])) {
                    $shared[$seen[$gram]] = ($shared[$seen[$gram]] ?? 0) + 1;
                }
            }
            if ($shared !== [] && max($shared) > self::COPY * count($grams)) {
                $out[$n] = 'A copy, in most of its words, of text '.(array_search(max($shared), $shared, true) + 1).'.';

                continue;
            }
            $seen += array_map(fn () => $n, $grams);
        }
        $left = array_diff_key($texts, $out);
        $common = self::commonWords($left);
        $shares = array_map(fn (Prose $text) => self::share($text, $common), $left);
        $middle = Quantile::of(array_values($shares), 0.5);
        foreach ($shares as $n => $share) {
            if ($share < self::OTHER_LANGUAGE * $middle) {
                $out[$n] = 'In another language than most of the others, or no running text.';
            }
        }
        ksort($out);

        return $out;
    }

    /**
     * Whether a text is in the language of a baseline, by the share of its commonest words.
     *
     * @param  list<Prose>  $baseline
     */
    public static function sameLanguage(Prose $text, array $baseline): bool
    {
        $common = self::commonWords($baseline);
        $shares = array_map(fn (Prose $one) => self::share($one, $common), $baseline);

        return $shares === [] || self::share($text, $common) >= self::OTHER_LANGUAGE * Quantile::of($shares, 0.5);
    }

    /**
     * The commonest of the words that stand in at least half of some texts.
     *
     * @param  array<int, Prose>  $texts
     * @return array<string, int>
     */
    private static function commonWords(array $texts): array
    {
        $counts = $in = [];
        foreach ($texts as $text) {
            foreach (array_count_values($text->words) as $word => $times) {
                $counts[$word] = ($counts[$word] ?? 0) + $times;
                $in[$word] = ($in[$word] ?? 0) + 1;
            }
        }

        return array_flip(FrequentWords::of(array_filter($counts, fn (string|int $word) => 2 * $in[$word] >= count($texts), ARRAY_FILTER_USE_KEY), self::COMMON));
    }

    /**
     * @param  array<string, int>  $common
     */
    private static function share(Prose $text, array $common): float
    {
        return count(array_filter($text->words, fn (string $word) => isset($common[$word]))) / max(1, $text->count());
    }

    /**
     * @return array<string, true>
     */
    private static function grams(Prose $text): array
    {
        $grams = [];
        for ($i = 0, $last = $text->count() - self::GRAM; $i <= $last; $i++) {
            $grams[implode(' ', array_slice($text->words, $i, self::GRAM))] = true;
        }

        return $grams;
    }
}
