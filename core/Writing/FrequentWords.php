<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

/**
 * The most frequent words of some texts, which are mostly small ones that say little of a subject, and how a text uses
 * them.
 */
final class FrequentWords
{
    /**
     * @param  array<string, int>  $counts  by word
     * @return list<string> most frequent first; of equally frequent ones in the order of the alphabet
     */
    public static function of(array $counts, int $many): array
    {
        $words = array_map(strval(...), array_keys($counts));
        array_multisort(array_values($counts), SORT_DESC, $words, SORT_ASC, SORT_STRING);

        return array_slice($words, 0, $many);
    }

    /**
     * @param  array<string, int>  $counts  of one text
     * @param  list<string>  $words
     * @return list<float> relative frequencies
     */
    public static function profile(array $counts, array $words): array
    {
        $sum = max(1, array_sum($counts));

        return array_map(fn (string $word) => ($counts[$word] ?? 0) / $sum, $words);
    }
}
