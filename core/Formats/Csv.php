<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Formats;

/**
 * Lines of comma-separated values (RFC 4180) that no spreadsheet runs as a formula.
 */
final class Csv
{
    /**
     * @param  list<string|int|null>  $cells
     */
    public static function line(array $cells): string
    {
        return implode(',', array_map(self::cell(...), $cells))."\r\n";
    }

    /** A cell as it was before it was written: without the apostrophe that keeps a formula from running. */
    public static function read(string $cell): string
    {
        return preg_replace('/\A\'(?=[=+@\t\r-])/', '', $cell) ?? $cell;
    }

    private static function cell(string|int|null $value): string
    {
        $text = (string) $value;
        // A cell that begins like a formula gets an apostrophe before it; plain numbers stay numbers.
        if ($text !== '' && str_contains("=+-@\t\r", $text[0]) && preg_match('/\A[-+]?[0-9]+(\.[0-9]+)?\z/', $text) !== 1) {
            $text = "'".$text;
        }

        return preg_match('/[",\r\n]/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
    }
}
