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

    private const GRAM = 5;

    /** A text that has more than this part of its sequences of words from another is a copy of it. */
    private const COPY = 0.5;

    /** Why a text gives nothing, in words; null when there is enough of it. */
    public static function tooShort(Prose $text, int $least = self::LEAST_WORDS): ?string
    {
        $sentences = count($text->sentences);

        return match (true) {
            $text->count() < $least => "{$text->count()} words of running text can be measured; {$least} are needed".(
                $text->all > $text->count()
                    ? ' (quotations, the bibliography, headings, lists, tables and verse are left out).'
                    : '.'
            ),
            $sentences < self::LEAST_SENTENCES => "It has {$sentences} ".($sentences === 1 ? 'sentence' : 'sentences')
                .' that end in a full stop or the like; '.self::LEAST_SENTENCES.' are needed.',
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
        $language = Language::of($left);
        foreach ($left as $n => $text) {
            if (! $language->has($text)) {
                $out[$n] = 'In another language than most of the others, or no running text.';
            }
        }
        ksort($out);

        return $out;
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
