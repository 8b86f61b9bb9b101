<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Formats;

use Brick\Math\BigDecimal;
use Generator;
use YoungHarbor\Core\Agreement\MarkedScript;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marking\FirstMark;
use YoungHarbor\Core\Marking\Seat;
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
     * Scripts with all their marks; blank marks are left out. First marks stand before second ones, by the column
     * "part" or else by the order of the lines. A column "chance" gives how likely a script was to be picked.
     *
     * @param  string  $text  CSV in UTF-8 with a line of headings
     * @return list<MarkedScript>
     *
     * @throws InvalidInput naming each line that is wrong
     */
    public static function markedScripts(string $text): array
    {
        $in = new Document;
        $found = $chances = [];
        foreach (self::rows($text, ['script', 'marker', 'mark'], $in, ['mark']) as $line => $row) {
            $chance = self::chance($row['chance'] ?? '', "line {$line}", $in);
            if (isset($chances[$row['script']]) && $chances[$row['script']] !== $chance) {
                $in->fault("line {$line}", "{$row['script']} has two chances");
            }
            $chances[$row['script']] = $chance;
            if ($row['mark'] === '') {
                continue;
            }
            isset($found[$row['script']][$row['marker']])
                && $in->fault("line {$line}", "{$row['marker']} has marked {$row['script']} already");
            $found[$row['script']][$row['marker']] = [
                self::part($row['part'] ?? '', "line {$line}", $in), $line,
                self::mark($row['mark'], "line {$line}", $in)->toFloat(),
            ];
        }
        $in->throwFaults();
        $scripts = [];
        foreach ($found as $script => $marks) {
            uasort($marks, fn (array $a, array $b) => [$a[0], $a[1]] <=> [$b[0], $b[1]]);
            $scripts[] = new MarkedScript(
                (string) $script, array_map(fn (array $mark) => $mark[2], $marks), 1 / $chances[$script],
            );
        }

        return $scripts === [] ? throw InvalidInput::at('', 'there is no mark') : $scripts;
    }

    /**
     * Marks by script.
     *
     * @param  string  $text  CSV in UTF-8 with a line of headings
     * @return array<string, BigDecimal>
     *
     * @throws InvalidInput naming each line that is wrong
     */
    public static function marks(string $text): array
    {
        $in = new Document;
        $marks = [];
        foreach (self::rows($text, ['script', 'mark'], $in) as $line => $row) {
            isset($marks[$row['script']]) && $in->fault("line {$line}", "{$row['script']} has a mark already");
            $marks[$row['script']] = self::mark($row['mark'], "line {$line}", $in);
        }
        $in->throwFaults();

        return $marks === [] ? throw InvalidInput::at('', 'there is no mark') : $marks;
    }

    /**
     * Points from,to of a map.
     *
     * @return list<array{BigDecimal, BigDecimal}>
     *
     * @throws InvalidInput naming each line that is wrong
     */
    public static function points(string $text): array
    {
        $in = new Document;
        $points = [];
        foreach (self::rows($text, ['from', 'to'], $in) as $line => $row) {
            $points[] = [self::mark($row['from'], "line {$line}", $in), self::mark($row['to'], "line {$line}", $in)];
        }
        $in->throwFaults();

        return $points;
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
     * @param  list<string>  $blank  those that may be empty
     * @return Generator<int, array<string, string>>
     */
    private static function rows(string $text, array $columns, Document $in, array $blank = []): Generator
    {
        $rows = 0;
        foreach (CsvRows::byHeading($text) as $line => $row) {
            $absent = array_diff($columns, array_keys($row));
            if ($absent !== []) {
                $in->fault('line 1', 'has no column '.implode(', ', $absent));
                $in->throwFaults();
            }
            foreach (array_diff($columns, $blank) as $column) {
                $row[$column] !== '' || $in->fault("line {$line}", "{$column} is missing");
            }
            if (++$rows > self::MOST) {
                throw InvalidInput::at('', 'has more than '.number_format(self::MOST).' lines');
            }
            yield $line => $row;
        }
    }

    /** The place of a part among the seats; of none, all are alike. */
    private static function part(string $text, string $place, Document $in): int
    {
        if ($text === '') {
            return 0;
        }
        $seat = Seat::tryFrom(mb_strtolower($text));
        $seat !== null || $in->fault($place, "part must be first, second, third …, not \"{$text}\"");

        return $seat === null ? 0 : (int) array_search($seat, Seat::cases(), true);
    }

    private static function chance(string $text, string $place, Document $in): float
    {
        if ($text === '') {
            return 1.0;
        }
        $chance = Document::parse($text);
        if ($chance === null || $chance->isZero() || $chance->isGreaterThan(1)) {
            $in->fault($place, "chance must be a number above 0 and at most 1, not \"{$text}\"");

            return 1.0;
        }

        return $chance->toFloat();
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
