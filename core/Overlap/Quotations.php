<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

use YoungHarbor\Core\Text\Words;

/**
 * The quotations of a text: what stands between paired marks, with the quotations inside it, and paragraphs that are
 * quoted as a block.
 *
 * Marks: “…” „…“ ”…” ‚…‘ ‘…’ «…» »…« ‹…› ›…‹ 「…」 『…』 "…". A mark that is not closed in its paragraph opens nothing,
 * unless the next paragraph begins with the same mark, as quotations of several paragraphs do. A straight single mark
 * is an apostrophe. Block quotations are paragraphs whose lines begin with ">".
 */
final class Quotations
{
    /** Closing marks by the opening one. */
    private const PAIRS = [
        '“' => ['”'], '„' => ['“', '”'], '”' => ['”'], '‚' => ['‘', '’'], '‘' => ['’'], '«' => ['»'],
        '»' => ['«', '»'], '‹' => ['›'], '›' => ['‹', '›'], '「' => ['」'], '『' => ['』'], '"' => ['"'],
    ];

    private const MARKS = '/[“”„‚‘’«»‹›「」『』"]/u';

    /**
     * @return list<Interval> in order, none touching another
     */
    public static function of(Words $words): array
    {
        $found = [];
        $paragraphs = self::paragraphs($words->text);
        foreach ($paragraphs as $n => [$start, $text]) {
            if (preg_match('/\A(?:>.*(?:\n|\z))+\z/u', $text) === 1) {
                $found[] = [$start, $start + strlen($text)];

                continue;
            }
            foreach (self::between($text, $paragraphs[$n + 1][1] ?? '') as [$from, $to]) {
                $found[] = [$start + $from, $start + $to];
            }
        }

        return Interval::within($words, 'quotation', $found);
    }

    /**
     * What stands between marks in a paragraph, in bytes, the marks left out.
     *
     * @return list<array{int, int}>
     */
    private static function between(string $text, string $next): array
    {
        preg_match_all(self::MARKS, $text, $found, PREG_OFFSET_CAPTURE);
        $marks = array_values(
            array_filter($found[0], fn (array $mark) => ! self::isApostrophe($text, $mark[0], $mark[1]))
        );
        $between = [];
        for ($n = 0, $count = count($marks); $n < $count; $n++) {
            [$mark, $at] = $marks[$n];
            $close = self::closing($text, $marks, $n);
            if ($close !== null) {
                $between[] = [$at + strlen($mark), $marks[$close][1]];
                $n = $close;
            } elseif (
                isset(self::PAIRS[$mark]) && str_starts_with(ltrim($next), $mark) && self::opens($text, $mark, $at)
            ) {
                $between[] = [$at + strlen($mark), strlen($text)];
                break;
            }
        }

        return $between;
    }

    /**
     * The mark that closes one, past those nested in it.
     *
     * @param  list<array{string, int}>  $marks
     */
    private static function closing(string $text, array $marks, int $open): ?int
    {
        [$mark, $at] = $marks[$open];
        if (! isset(self::PAIRS[$mark]) || ! self::opens($text, $mark, $at)) {
            return null;
        }
        $depth = 0;
        for ($n = $open + 1, $count = count($marks); $n < $count; $n++) {
            [$other, $place] = $marks[$n];
            if (
                in_array($other, self::PAIRS[$mark], true)
                && ($other !== $mark || ! self::opens($text, $other, $place) || $mark === '"')
            ) {
                if ($depth === 0) {
                    return $n;
                }
                $depth--;
            } elseif ($other === $mark && self::opens($text, $other, $place)) {
                $depth++;
            }
        }

        return null;
    }

    /**
     * Whether a mark stands where one opens: before a letter or another mark, and not right after a letter or a stop.
     */
    private static function opens(string $text, string $mark, int $at): bool
    {
        $before = self::before($text, $at);

        // Angled marks may have a space inside, as in French.
        return ($mark === '«' || preg_match('/\S/u', self::after($text, $mark, $at)) === 1)
            && (
                in_array($mark, ['「', '『'], true) || $before === ''
                || preg_match('/[\s\p{Ps}\p{Pd}\p{Pi}\/„‚"]/u', $before) === 1
            );
    }

    /**
     * "’" inside a word belongs to it; so does one after an s and before a small letter, as in "the sailors’ song",
     * when another follows that can close the quotation.
     */
    private static function isApostrophe(string $text, string $mark, int $at): bool
    {
        if ($mark !== '’' && $mark !== '‘') {
            return false;
        }
        $before = self::before($text, $at);
        $rest = substr($text, $at + strlen($mark), 400);

        return preg_match('/[\p{L}\p{N}]/u', $before) === 1
            && (preg_match('/\p{L}/u', self::after($text, $mark, $at)) === 1
            || ($before === 's' && preg_match('/\A \p{Ll}[^‘]*?’(?!\p{L})/u', mb_scrub($rest)) === 1));
    }

    private static function before(string $text, int $at): string
    {
        return mb_substr(mb_scrub(substr($text, max(0, $at - 4), min(4, $at))), -1);
    }

    private static function after(string $text, string $mark, int $at): string
    {
        return mb_substr(mb_scrub(substr($text, $at + strlen($mark), 4)), 0, 1);
    }

    /**
     * @return list<array{int, string}> byte offset and text of each paragraph
     */
    private static function paragraphs(string $text): array
    {
        $paragraphs = [];
        foreach (
            preg_split(
                '/\n[ \t]*\n+/', $text, -1, PREG_SPLIT_OFFSET_CAPTURE | PREG_SPLIT_NO_EMPTY,
            ) ?: [] as [$paragraph, $start]
        ) {
            $paragraphs[] = [$start, $paragraph];
        }

        return $paragraphs;
    }
}
