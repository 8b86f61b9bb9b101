<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Formats;

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
            str_starts_with($bytes, "\xFF\xFE") => [mb_convert_encoding(substr($bytes, 2), 'UTF-8', 'UTF-16LE'), 'UTF-16'],
            str_starts_with($bytes, "\xFE\xFF") => [mb_convert_encoding(substr($bytes, 2), 'UTF-8', 'UTF-16BE'), 'UTF-16'],
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
        $counts = ['\t' => substr_count($first, "\t"), ';' => substr_count($first, ';'), ',' => substr_count($first, ',')];
        $delimiter = strtr((string) array_search(max($counts), $counts, true), ['\t' => "\t"]);
        $delimiter = max($counts) === 0 ? ',' : $delimiter;
        $stream = fopen('php://memory', 'w+');
        if ($stream === false) {
            return;
        }
        fwrite($stream, preg_replace('/\r\n?/', "\n", $text) ?? $text);
        rewind($stream);
        $line = 1;
        while (($cells = fgetcsv($stream, null, $delimiter, '"', '')) !== false) {
            $texts = array_map(fn (?string $cell) => trim(Csv::read((string) $cell)), $cells);
            if (implode('', $texts) !== '') {
                yield $line => $texts;
            }
            $line += 1 + substr_count(implode('', $cells), "\n");
        }
        fclose($stream);
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
