<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

use YoungHarbor\Core\Text\Words;

/**
 * The bibliography of a text: what follows its heading, up to a heading that is not part of it; without a heading, the
 * last paragraph when it begins with such a word ("Sources."), or the last paragraphs when three or more of them have the
 * shape of entries. Headings and shapes are common practice, no
 * source.
 */
final class Bibliography
{
    private const HEADING = '/\A\s*(?:#{1,6}\s*)?(?:\d+\.?\s*)?(?:select(?:ed)?\s+)?(?:bibliograph(?:y|ie|ies)|references?(?:\s+list)?|list\s+of\s+references|works?\s+(?:cited|consulted)|reading\s+list|(?:primary|secondary)\s+sources|sources|literature(?:\s+cited)?|literatur(?:verzeichnis)?|quellen(?:verzeichnis)?|quellen\s+und\s+literatur|références(?:\s+bibliographiques)?|referencias(?:\s+bibliográficas)?|bibliografía|bibliografia|referências(?:\s+bibliográficas)?|riferimenti(?:\s+bibliografici)?|literatura|litteratur(?:liste|förteckning)?|källor|kilder|bronnen|literatuur(?:lijst)?|lähteet|список\s+литературы|литература|βιβλιογραφία)\s*:?\s*\z/iu';

    /** The same at the beginning of a paragraph. */
    private const RUN_IN = '/\A\s*[*_]{0,2}(?:bibliography|references|works?\s+cited|(?:primary\s+)?sources|quellen|literatur|références|bibliographie|referencias|bibliografía|fuentes|källor|kilder|bronnen)\s*[.:][*_]{0,2}\s+\S/iu';

    /** Headings that come after one. */
    private const NEXT = '/\A\s*(?:#{1,6}\s*)?(?:appendi(?:x|ces)|annex(?:es)?|notes?|endnotes|acknowledgements?|anhang|annexe|apéndice|allegato|bijlage|word\s+count|declaration)\b.{0,60}\z/iu';

    private const YEAR = '/\b(?:1[4-9]\d\d|20\d\d)[a-z]?\b|\bn\.\s?d\.|\bs\.\s?d\.|\bo\.\s?J\./u';

    /** How entries begin: a family name with what follows it, a number, a bullet, an address, a title in marks. */
    private const BEGINS = '/\A\s*(?:[-*•]\s*)?(?:\[\d+\]\s*|\d{1,3}[.)]\s+)?(?:\p{Lu}[\p{L}\p{M}\'’.-]+(?:\s+(?:de|da|du|von|van|der|den|la|le|al|el|ap|y|e)\b)*(?:[\s-]+\p{Lu}[\p{L}\p{M}\'’-]+)*(?:\s+\p{Lu}{1,3})?\s*(?:,|\(|\.\s)|\p{Lu}\.\s|[“„«"*_]|https?:)/u';

    private const LONGEST_ENTRY = 90;

    private const LEAST_ENTRIES = 3;

    /**
     * @return list<Interval> one, or none
     */
    public static function of(Words $words): array
    {
        $paragraphs = self::paragraphs($words->text);
        $from = null;
        $to = count($paragraphs);
        foreach ($paragraphs as $n => [, $text]) {
            if ($from === null || $n > $from) {
                if (preg_match(self::HEADING, $text) === 1 && self::hasEntry(array_slice($paragraphs, $n + 1, 6))) {
                    $from ??= $n;
                } elseif ($from !== null && preg_match(self::NEXT, $text) === 1) {
                    $to = $n;
                    break;
                }
            }
        }
        if ($from === null) {
            for ($from = $to; $from > 0 && self::isEntry($paragraphs[$from - 1][1]); $from--) {
                continue;
            }
            if ($to - $from < self::LEAST_ENTRIES) {
                $from = $to - 1;
                if (
                    $from < 1 || preg_match(self::RUN_IN, $paragraphs[$from][1]) !== 1
                    || preg_match_all('/\p{L}+/u', $paragraphs[$from][1]) > self::LONGEST_ENTRY
                ) {
                    return [];
                }
            }
        }

        return Interval::within(
            $words, 'bibliography',
            [[$paragraphs[$from][0] ?? 0, isset($paragraphs[$to]) ? $paragraphs[$to][0] : strlen($words->text)]],
        );
    }

    /**
     * @param  list<array{int, string}>  $paragraphs
     */
    private static function hasEntry(array $paragraphs): bool
    {
        return array_filter($paragraphs, fn (array $paragraph) => self::isEntry($paragraph[1])) !== [];
    }

    private static function isEntry(string $text): bool
    {
        return preg_match_all('/\p{L}+/u', $text) <= self::LONGEST_ENTRY && preg_match(self::BEGINS, $text) === 1
            && (preg_match(self::YEAR, $text) === 1 || preg_match('~https?://|\bdoi\b~i', $text) === 1);
    }

    /**
     * Lines are paragraphs too: word processors and PDF give entries either way. A line that begins with a space or a
     * small letter goes on with the one before.
     *
     * @return list<array{int, string}>
     */
    private static function paragraphs(string $text): array
    {
        $paragraphs = [];
        $open = false;
        foreach (preg_split('/\n/', $text, -1, PREG_SPLIT_OFFSET_CAPTURE) ?: [] as [$line, $start]) {
            if (trim($line) === '') {
                $open = false;
            } elseif ($open && preg_match('/\A(?:\s|\p{Ll}|\d{4}|https?:)/u', $line) === 1) {
                [$began, $before] = array_pop($paragraphs) ?? [$start, ''];
                $paragraphs[] = [$began, $before."\n".$line];
            } else {
                $paragraphs[] = [$start, $line];
                $open = true;
            }
        }

        return $paragraphs;
    }
}
