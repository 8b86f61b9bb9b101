<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Tables;

use Generator;

/**
 * Reads a table of comma-separated values line by line, however many there are, in the encodings spreadsheets write.
 */
final class CsvRows
{
    /**
     * The text as UTF-8, and what it was read as when it was not.
     *
     * @return array{string, string|null}
     */
    public static function utf8(string $bytes): array
    {
        return match (true) {
            str_starts_with($bytes, "\xEF\xBB\xBF") => [mb_scrub(substr($bytes, 3)), null],
            str_starts_with($bytes, "\xFF\xFE") => [
                mb_convert_encoding(substr($bytes, 2), 'UTF-8', 'UTF-16LE'), 'UTF-16',
            ],
            str_starts_with($bytes, "\xFE\xFF") => [
                mb_convert_encoding(substr($bytes, 2), 'UTF-8', 'UTF-16BE'), 'UTF-16',
            ],
            mb_check_encoding($bytes, 'UTF-8') => [$bytes, null],
            default => [mb_convert_encoding($bytes, 'UTF-8', 'Windows-1252'), 'Windows-1252'],
        };
    }

    /**
     * The cells of each line that has any, by the number of the line it begins in.
     *
     * @param  string  $text  UTF-8
     * @return Generator<int, list<string>>
     */
    public static function of(string $text): Generator
    {
        $first = preg_replace('/"(?:[^"]|"")*"/', '', strtok($text, "\r\n") ?: '') ?? '';
        $counts = [
            '\t' => substr_count($first, "\t"), ';' => substr_count($first, ';'), ',' => substr_count($first, ','),
        ];
        $delimiter = strtr((string) array_search(max($counts), $counts, true), ['\t' => "\t"]);
        $delimiter = max($counts) === 0 ? ',' : $delimiter;
        $text = preg_replace('/\r\n?/', "\n", $text) ?? $text;
        $line = 1;
        for ($at = 0, $length = strlen($text); $at < $length; $at = $end + 1) {
            $end = strpos($text, "\n", $at);
            $end = $end === false ? $length : $end;
            // A line break inside quotation marks belongs to its cell.
            $open = substr_count($text, '"', $at, $end - $at) % 2 === 1;
            while ($open && $end < $length) {
                $next = strpos($text, "\n", $end + 1);
                $next = $next === false ? $length : $next;
                $open = substr_count($text, '"', $end, $next - $end) % 2 === 0;
                $end = $next;
            }
            $record = substr($text, $at, $end - $at);
            $cells = array_map(
                fn (?string $cell) => trim(Csv::read((string) $cell)), str_getcsv($record, $delimiter, '"', ''),
            );
            if (implode('', $cells) !== '') {
                yield $line => $cells;
            }
            $line += 1 + substr_count($record, "\n");
        }
    }

    /**
     * Lines as cells by their heading, small letters.
     *
     * @return Generator<int, array<string, string>>
     */
    public static function byHeading(string $text): Generator
    {
        $headings = null;
        foreach (self::of($text) as $line => $cells) {
            if ($headings === null) {
                $headings = array_map(mb_strtolower(...), $cells);

                continue;
            }
            $row = [];
            foreach ($headings as $n => $heading) {
                $row[$heading] = $cells[$n] ?? '';
            }
            yield $line => $row;
        }
    }
}
