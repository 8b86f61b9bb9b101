<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Tables;

/**
 * Reads tables written as text: comma-, semicolon- or tab-separated (RFC 4180, with the quoting spreadsheets use when
 * cells are copied), or with a bar between cells.
 */
final class Delimited
{
    /**
     * The cells, row by row; rows without any text are left out and the byte order mark is dropped.
     *
     * @param  string|null  $delimiter  one character; null to find it out from the text
     * @return list<list<string>>
     */
    public static function rows(string $text, ?string $delimiter = null): array
    {
        $text = str_replace(["\r\n", "\r"], "\n", preg_replace('/\A\x{FEFF}/u', '', $text) ?? $text);
        if ($delimiter === null && preg_match('/\A\s*\|/', $text) === 1) {
            return self::barred($text);
        }
        $delimiter ??= self::delimiterOf($text);
        $cell = '(?:"((?:[^"]|"")*)"|([^'.preg_quote($delimiter, '/').'\n]*))';
        $rows = [];
        $row = [];
        $at = 0;
        $length = strlen($text);
        while ($at <= $length) {
            if (preg_match('/\G'.$cell.'('.preg_quote($delimiter, '/').'|\n|\z)/', $text, $match, 0, $at) !== 1) {
                // A quotation mark inside an open cell: taken as it stands, up to the next delimiter.
                preg_match(
                    '/\G([^'.preg_quote($delimiter, '/').'\n]*)('.preg_quote($delimiter, '/').'|\n|\z)/', $text,
                    $loose, 0, $at,
                );
                $match = [$loose[0] ?? '', '', $loose[1] ?? '', $loose[2] ?? ''];
            }
            $row[] = str_starts_with($match[0], '"') && $match[2] === ''
                ? str_replace('""', '"', $match[1])
                : $match[2];
            $at += max(1, strlen($match[0]));
            if ($match[3] !== $delimiter) {
                $rows[] = $row;
                $row = [];
            }
        }

        return array_values(array_filter($rows, fn (array $cells) => trim(implode('', $cells)) !== ''));
    }

    private static function delimiterOf(string $text): string
    {
        if (str_contains($text, "\t")) {
            return "\t";
        }
        $first = preg_replace('/"(?:[^"]|"")*"/', '', strtok($text, "\n") ?: '') ?? '';

        return substr_count($first, ';') > substr_count($first, ',') ? ';' : ',';
    }

    /**
     * @return list<list<string>>
     */
    private static function barred(string $text): array
    {
        $rows = [];
        foreach (explode("\n", $text) as $line) {
            $line = trim($line);
            if ($line !== '' && preg_match('/\A\|?[\s|:-]+\z/', $line) !== 1) {
                $rows[] = array_map(trim(...), explode('|', trim($line, '|')));
            }
        }

        return $rows;
    }
}
