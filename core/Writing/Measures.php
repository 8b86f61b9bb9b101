<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

use YoungHarbor\Core\Text\ReadingEase;

/**
 * What can be measured of a text by itself. Each is defined, with its source, at its Signal.
 */
final class Measures
{
    private const WINDOW = 100;

    private const THRESHOLD = 0.72;

    private const OPENINGS = 9;

    private const LEAST_PARAGRAPHS = 3;

    /**
     * @return array<string, float|null> by signal; null where there is too little of it
     */
    public static function of(Prose $prose): array
    {
        $lengths = array_column($prose->sentences, 'words');
        $words = max(1, $prose->count());
        $per100 = fn (string ...$marks): float => 100 * array_sum(
            array_intersect_key($prose->marks, array_flip($marks))
        ) / $words;

        return [
            Signal::SentenceLength->value => $lengths === [] ? null : array_sum($lengths) / count($lengths),
            Signal::SentenceVariation->value => self::variation($lengths),
            Signal::WordVariety->value => self::movingRatio($prose->words),
            Signal::LexicalDiversity->value => self::mtld($prose->words),
            Signal::StockPhrases->value => 1000 * StockPhrases::count($prose->words) / $words,
            Signal::RepeatedOpenings->value => self::openings($prose),
            Signal::ParagraphVariation->value => count($prose->paragraphs) < self::LEAST_PARAGRAPHS
                ? null
                : self::variation($prose->paragraphs),
            Signal::Commas->value => $per100('comma'),
            Signal::OtherMarks->value => $per100('semicolon', 'colon', 'dash', 'bracket', 'question', 'exclamation'),
            Signal::ReadingEase->value => $prose->words === [] || $prose->sentences === []
                ? null
                : ReadingEase::from($prose->words, count($prose->sentences)),
        ];
    }

    /**
     * Standard deviation (of a sample) divided by the mean.
     *
     * @param  list<int>  $values
     */
    public static function variation(array $values): ?float
    {
        $n = count($values);
        $mean = $n === 0 ? 0.0 : array_sum($values) / $n;
        if ($n < 2 || $mean <= 0) {
            return null;
        }

        return sqrt(array_sum(array_map(fn (int $value) => ($value - $mean) ** 2, $values)) / ($n - 1)) / $mean;
    }

    /**
     * Moving-average type-token ratio: the mean share of different words over all windows.
     *
     * @param  list<string>  $words
     * @param  int<1, max>  $window  a shorter text is one window
     */
    public static function movingRatio(array $words, int $window = self::WINDOW): ?float
    {
        $n = count($words);
        if ($n === 0) {
            return null;
        }
        $window = min($window, $n);
        $in = [];
        $sum = $windows = 0;
        foreach ($words as $i => $word) {
            $in[$word] = ($in[$word] ?? 0) + 1;
            if ($i >= $window && --$in[$words[$i - $window]] === 0) {
                unset($in[$words[$i - $window]]);
            }
            if ($i >= $window - 1) {
                $sum += count($in);
                $windows++;
            }
        }

        return $sum / $windows / $window;
    }

    /**
     * Measure of textual lexical diversity: the mean of its value forwards and backwards.
     *
     * @param  list<string>  $words
     */
    public static function mtld(array $words, float $threshold = self::THRESHOLD): ?float
    {
        return $words === []
            ? null
            : (self::mtldOneWay($words, $threshold) + self::mtldOneWay(array_reverse($words), $threshold)) / 2;
    }

    /**
     * @param  non-empty-list<string>  $words
     */
    private static function mtldOneWay(array $words, float $threshold): float
    {
        $factors = 0.0;
        $types = [];
        $tokens = 0;
        $ratio = 1.0;
        foreach ($words as $word) {
            $types[$word] = true;
            $ratio = count($types) / ++$tokens;
            if ($ratio <= $threshold) {
                $factors++;
                [$types, $tokens, $ratio] = [[], 0, 1.0];
            }
        }
        $factors += (1 - $ratio) / (1 - $threshold);

        // A text in which no word comes back has no factor: its own length is the least it could be.
        return $factors > 0 ? count($words) / $factors : (float) count($words);
    }

    private static function openings(Prose $prose): ?float
    {
        if (count($prose->sentences) < 2) {
            return null;
        }
        $first = array_map(fn (array $sentence) => $prose->words[$sentence['from']], $prose->sentences);
        $alike = 0;
        foreach ($first as $n => $word) {
            $alike += in_array($word, array_slice($first, max(0, $n - self::OPENINGS), min($n, self::OPENINGS)), true)
                ? 1
                : 0;
        }

        return $alike / count($first);
    }
}
