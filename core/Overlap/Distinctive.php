<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

use YoungHarbor\Core\Text\Words;

/**
 * Sequences of words of a text that are unlikely to stand anywhere by chance, spread over all of it: what a search of
 * the open web is asked for. Nothing else of a text leaves the building.
 */
final class Distinctive
{
    public const LENGTH = 9;

    /** One sequence for so many words. */
    private const EVERY = 20;

    /** Letters of a word past these make it no rarer. */
    private const LONGEST = 12;

    /**
     * @param  list<Interval>  $leftOut  places that are not asked for, such as what was given and the bibliography
     * @param  int<1, max>  $most
     * @return list<string> in the order of the text, each once
     */
    public static function phrases(Words $words, array $leftOut, int $most): array
    {
        $numbers = self::weights($words, $leftOut);
        $count = count($numbers);
        $parts = min($most, max(1, intdiv($count, self::EVERY)));
        $phrases = [];
        for ($part = 0; $part < $parts; $part++) {
            $from = intdiv($part * $count, $parts);
            $until = min(intdiv(($part + 1) * $count, $parts), $count - self::LENGTH + 1);
            $best = null;
            $most = 0;
            for ($i = $from; $i < $until; $i++) {
                $window = array_slice($numbers, $i, self::LENGTH);
                $weight = in_array(0, $window, true) ? 0 : array_sum($window);
                if ($weight > $most) {
                    [$best, $most] = [$i, $weight];
                }
            }
            if ($best !== null) {
                $phrases[] = implode(' ', array_slice($words->normalForms(), $best, self::LENGTH));
            }
        }

        return array_values(array_unique($phrases));
    }

    /**
     * How rare each word is taken to be: the more letters, the rarer; the oftener in the text, the less. 0 where
     * nothing is to be asked for.
     *
     * @param  list<Interval>  $leftOut
     * @return list<int>
     */
    private static function weights(Words $words, array $leftOut): array
    {
        $often = array_count_values($words->normalForms());
        $weights = array_map(
            fn (string $word) => max(1, intdiv(100 * min(self::LONGEST, mb_strlen($word)), 1 + $often[$word])),
            $words->normalForms(),
        );
        foreach ($leftOut as $place) {
            for ($i = $place->from; $i < $place->to; $i++) {
                $weights[$i] = 0;
            }
        }

        return array_values($weights);
    }
}
