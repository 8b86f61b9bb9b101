<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Text;

/**
 * The sentences of a text, in order, as ranges of its words.
 *
 * A sentence ends at . ! ? or … (and their like in other scripts) with any closing marks after it, where white space
 * and then a capital, a digit or an opening mark follow, and always where a paragraph ends. A full stop after a common
 * abbreviation, an initial or inside a number ends none. A paragraph ends at an empty line; where a text has none, at
 * each line's end. The rules are those of Unicode Standard Annex 29 in outline, with abbreviations of our own, from
 * memory.
 */
final class Sentences
{
    // An initial is a capital: without regard to case PCRE2 from 10.43 on takes \p{Lu} for any letter, so that holds
    // for the words alone.
    private const ABBREVIATED = '/(?:\b(?i:mr|mrs|ms|dr|prof|st|mt|no|nos|vol|vols|pp?|ed|eds|fig|figs|ch|cf|e\.g|i\.e|etc|al|ca?|approx|dept|vs|viz|rev|hon|gen|col|capt|lt|sgt|jr|sr|inc|ltd|co|art|para|jan|feb|aug|sept?|oct|nov|dec|z\.b|bzw|u\.a|d\.h|bspw|nr|bd|sog|p\.ex)|(?<![\p{L}\p{N}])\p{Lu})\.\z/u';

    /**
     * @return list<Sentence> those with at least one word
     */
    public static function of(Words $words): array
    {
        $sentences = [];
        $at = 0;
        foreach (self::paragraphs($words->text) as $number => [$start, $end]) {
            foreach (self::ends($words->text, $start, $end) as $stop) {
                $from = $at;
                while ($at < $words->count() && $words->list[$at]->start < $stop) {
                    $at++;
                }
                if ($at > $from) {
                    $closed = preg_match(
                        '/[.!?…‽。！？؟।။]/u',
                        substr($words->text, $words->list[$at - 1]->end, $stop - $words->list[$at - 1]->end),
                    ) === 1;
                    $sentences[] = new Sentence($from, $at, $number, $closed);
                }
            }
        }

        return $sentences;
    }

    /**
     * @return list<array{int, int}> byte offsets, ends exclusive
     */
    private static function paragraphs(string $text): array
    {
        $break = preg_match('/\R\h*\R/u', trim($text)) === 1 ? '/\R(?:\h*\R)+/u' : '/\R/u';
        preg_match_all($break, $text, $breaks, PREG_OFFSET_CAPTURE);
        $paragraphs = [];
        $start = 0;
        foreach ($breaks[0] as [$found, $at]) {
            $paragraphs[] = [$start, $at];
            $start = $at + strlen($found);
        }

        return [...$paragraphs, [$start, strlen($text)]];
    }

    /**
     * @return list<int> byte offsets at which sentences of a paragraph end
     */
    private static function ends(string $text, int $start, int $end): array
    {
        $paragraph = substr($text, $start, $end - $start);
        preg_match_all(
            '/(?:[.!?…‽]+(?:\h?»|[)\]"\'’”])*(?=\s+["\'‘“«(\[¿¡–—-]*\s*[\p{Lu}\p{Lo}\p{N}])|[。！？।။؟]+)/u', $paragraph,
            $found, PREG_OFFSET_CAPTURE,
        );
        $ends = [];
        foreach ($found[0] as [$mark, $at]) {
            if (
                $mark === '.'
                && preg_match(self::ABBREVIATED, substr($paragraph, max(0, $at - 12), min(12, $at) + 1)) === 1
            ) {
                continue;
            }
            $ends[] = $start + $at + strlen($mark);
        }

        return [...$ends, $end];
    }
}
