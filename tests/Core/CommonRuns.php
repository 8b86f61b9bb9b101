<?php

declare(strict_types=1);

namespace Tests\Core;

/**
 * Random texts, and the plainest way to find what two of them have in common, to check the quick ways against.
 */
trait CommonRuns
{
    /**
     * @return list<string>
     */
    private static function words(int $count, int $vocabulary): array
    {
        $words = [];
        while (count($words) < $count) {
            $words[] = 'word'.mt_rand(1, $vocabulary);
        }

        return $words;
    }

    /**
     * @param  list<string>  $script
     * @param  list<string>  $source
     * @return list<int> places of the script inside some common run of at least $least words
     */
    private static function bruteForce(array $script, array $source, int $least): array
    {
        $covered = [];
        foreach (array_keys($script) as $i) {
            foreach (array_keys($source) as $j) {
                $length = 0;
                while (isset($script[$i + $length]) && $script[$i + $length] === ($source[$j + $length] ?? null)) {
                    $length++;
                }
                if ($length >= $least) {
                    $covered += array_fill_keys(range($i, $i + $length - 1), true);
                }
            }
        }
        ksort($covered);

        return array_keys($covered);
    }
}
