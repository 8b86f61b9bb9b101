<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Formats;

use Brick\Math\BigDecimal;
use Generator;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marking\FirstMark;
use YoungHarbor\Core\Tables\CsvRows;

/**
 * A table of marks, one line a mark: script, marker, mark.
 */
final class MarksCsv
{
    private const MOST = 100_000;

    /**
     * Scripts with one mark each.
     *
     * @param  string  $text  CSV in UTF-8 with a line of headings
     * @return list<FirstMark>
     *
     * @throws InvalidInput naming each line that is wrong
     */
    public static function firstMarks(string $text): array
    {
        $in = new Document;
        $marks = [];
        $lines = [];
        foreach (self::rows($text, ['script', 'marker', 'mark'], $in) as $line => $row) {
            $script = $row['script'];
            if (isset($lines[$script])) {
                $in->fault(
                    "line {$line}", "{$script} has a mark in line {$lines[$script]} already; one mark a script is read",
                );
            }
            $lines[$script] = $line;
            $marks[] = new FirstMark($script, $row['marker'], self::mark($row['mark'], "line {$line}", $in));
        }
        $in->throwFaults();

        return $marks;
    }

    /**
     * Marks where bands begin, as "0,40,50,60,70": a 0 is no boundary.
     *
     * @return list<BigDecimal> rising, without the 0
     *
     * @throws InvalidInput
     */
    public static function boundaries(string $list): array
    {
        $in = new Document;
        $found = [];
        foreach (explode(',', $list) as $text) {
            $value = Document::parse(trim($text));
            $before = end($found);
            if ($value === null || $value->isGreaterThan(100)) {
                $in->fault('bands', "must be marks from 0 to 100 with commas between them, not \"{$text}\"");
            } elseif ($before !== false && $value->isLessThanOrEqualTo($before)) {
                $in->fault('bands', "must rise: {$value} comes after {$before}");
            } else {
                $found[] = $value;
            }
        }
        $in->throwFaults();

        return array_values(array_filter($found, fn (BigDecimal $value) => ! $value->isZero()));
    }

    /**
     * Lines by their number, with a fault for each cell that is missing.
     *
     * @param  list<string>  $columns  all wanted
     * @return Generator<int, array<string, string>>
     */
    private static function rows(string $text, array $columns, Document $in): Generator
    {
        $rows = 0;
        foreach (CsvRows::byHeading($text) as $line => $row) {
            $absent = array_diff($columns, array_keys($row));
            if ($absent !== []) {
                $in->fault('line 1', 'has no column '.implode(', ', $absent));
                $in->throwFaults();
            }
            foreach ($columns as $column) {
                $row[$column] !== '' || $in->fault("line {$line}", "{$column} is missing");
            }
            if (++$rows > self::MOST) {
                throw InvalidInput::at('', 'has more than '.number_format(self::MOST).' lines');
            }
            yield $line => $row;
        }
    }

    private static function mark(string $text, string $place, Document $in): BigDecimal
    {
        $mark = Document::parse($text);
        if ($text !== '' && ($mark === null || $mark->isGreaterThan(100))) {
            $in->fault($place, "mark must be a number from 0 to 100 such as 62.5, not \"{$text}\"");
        }

        return $mark ?? BigDecimal::zero();
    }
}
