<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Tables;

/**
 * Lines of comma-separated values (RFC 4180) that no spreadsheet runs as a formula.
 */
final class Csv
{
    /** What makes a spreadsheet take a cell for a formula, in full width too, as some read it. */
    private const FORMULA = '=+@\t\r\-＝＋－＠﹦﹢﹣﹫';

    /**
     * @param  list<string|int|null>  $cells
     * @param  string  $separator  a comma, or what spreadsheets of the country expect: a semicolon, a tab
     */
    public static function line(array $cells, string $separator = ','): string
    {
        return implode($separator, array_map(
            fn (string|int|null $cell) => self::cell($cell, $separator), $cells,
        ))."\r\n";
    }

    /** A cell as it was before it was written: without the apostrophe that keeps a formula from running. */
    public static function read(string $cell): string
    {
        return preg_replace('/\A\'(?=['.self::FORMULA.'])/u', '', $cell) ?? $cell;
    }

    private static function cell(string|int|null $value, string $separator): string
    {
        $text = (string) $value;
        // A cell that begins like a formula gets an apostrophe before it; plain numbers stay numbers.
        if (
            preg_match('/\A['.self::FORMULA.']/u', $text) === 1
            && preg_match('/\A[-+]?[0-9]+(\.[0-9]+)?\z/', $text) !== 1
        ) {
            $text = "'".$text;
        }

        return strpbrk($text, "\"\r\n{$separator}") !== false ? '"'.str_replace('"', '""', $text).'"' : $text;
    }
}
