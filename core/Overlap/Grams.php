<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

/**
 * Hashes of words in a row, each worked out from the one before in constant time.
 *
 * Cyclic polynomial over 64-bit hashes of the words. Source: Cohen, "Recursive Hashing Functions for n-Grams", ACM
 * Transactions on Information Systems 15, 1997.
 */
final class Grams
{
    /**
     * A 63-bit number for each word: xxh3 with its top bit dropped, so that it is a positive integer everywhere.
     *
     * @param  list<int|string>  $words  normalised; numbers stay as they are
     * @return list<int>
     */
    public static function numbers(array $words): array
    {
        $known = [];
        $numbers = [];
        foreach ($words as $word) {
            $numbers[] = is_int($word) ? $word : $known[$word] ??= self::number($word);
        }

        return $numbers;
    }

    /**
     * @param  list<int>  $words
     * @param  positive-int  $k  words in a gram
     * @return list<int> one for each place where a gram begins, from 0 to 2^63 − 1
     */
    public static function of(array $words, int $k): array
    {
        $count = count($words);
        if ($count < $k) {
            return [];
        }
        $hash = 0;
        for ($i = 0; $i < $k; $i++) {
            $hash = ($hash << 1 | ($hash >> 63 & 1)) ^ $words[$i];
        }
        $grams = [$hash & PHP_INT_MAX];
        $left = 64 - $k % 64;
        $turn = $k % 64;
        $mask = ~(-1 << $turn);
        for ($i = $k; $i < $count; $i++) {
            $out = $words[$i - $k];
            $hash = ($hash << 1 | ($hash >> 63 & 1)) ^ ($out << $turn | ($out >> $left & $mask)) ^ $words[$i];
            $grams[] = $hash & PHP_INT_MAX;
        }

        return $grams;
    }

    private static function number(string $word): int
    {
        /** @var array{1: int} $parts */
        $parts = unpack('J', hash('xxh3', $word, true));

        return $parts[1] & PHP_INT_MAX;
    }
}
