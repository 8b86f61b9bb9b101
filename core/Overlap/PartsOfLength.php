<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

use YoungHarbor\Core\Text\Words;

/**
 * The words of a text that may not count for its length, by why: hidden before bibliography before quotation, each word
 * once.
 */
final class PartsOfLength
{
    /**
     * @param  list<string>  $hidden  what a reader of the file does not see, passage by passage
     * @return array{hidden: int, bibliography: int, quotations: int}
     */
    public static function of(Words $words, array $hidden): array
    {
        $why = [];
        $unplaced = 0;
        foreach ($hidden as $passage) {
            $place = Hiding::place($words, $passage);
            if ($place === null) { // cut short in the finding, or a name in it was hidden
                $unplaced += Words::of($passage)->count();

                continue;
            }
            $why += array_fill_keys(range($place->from, $place->to - 1), 'hidden');
        }
        foreach (
            ['bibliography' => Bibliography::of($words), 'quotations' => Quotations::of($words)] as $kind => $places
        ) {
            foreach ($places as $place) {
                $why += array_fill_keys(range($place->from, $place->to - 1), $kind);
            }
        }
        $counts = array_count_values($why);

        return [
            'hidden' => min($words->count(), ($counts['hidden'] ?? 0) + $unplaced),
            'bibliography' => $counts['bibliography'] ?? 0, 'quotations' => $counts['quotations'] ?? 0,
        ];
    }
}
