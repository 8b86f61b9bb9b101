<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Formats;

use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Peers\Rating;
use YoungHarbor\Core\Tables\CsvRows;

/**
 * A table of what members of groups gave each other: group, rater, rated, points.
 */
final class RatingsCsv
{
    private const COLUMNS = ['group', 'rater', 'rated', 'points'];

    private const MOST = 100_000;

    /**
     * @param  string  $text  CSV in UTF-8 with a line of headings
     * @return array<string, list<Rating>> by group, in the order of the lines
     *
     * @throws InvalidInput naming each line that is wrong
     */
    public static function read(string $text): array
    {
        $in = new Document;
        $groups = $lines = [];
        $checked = false;
        foreach (CsvRows::byHeading($text) as $line => $row) {
            $missing = $checked ? [] : array_diff(self::COLUMNS, array_keys($row));
            $missing === [] || throw InvalidInput::at('csv', 'has no column '.implode(', ', $missing));
            $checked = true;
            count($lines) < self::MOST || throw InvalidInput::at('csv', 'has more than 100,000 lines');
            foreach (['group', 'rater', 'rated'] as $column) {
                $row[$column] = trim($row[$column]);
                $row[$column] === '' && $in->fault("line {$line}", "{$column} is missing");
            }
            $key = json_encode([$row['group'], $row['rater'], $row['rated']]);
            isset($lines[$key]) && $in->fault(
                "line {$line}", "{$row['rater']} has rated {$row['rated']} in line {$lines[$key]} already",
            );
            $lines[$key] = $line;
            $points = Document::parse(trim($row['points']));
            $points === null && $in->fault("line {$line}", "points must be a number from 0 on, not \"{$row['points']}\"");
            $points === null || $groups[$row['group']][] = new Rating($row['rater'], $row['rated'], $points);
        }
        $in->throwFaults();

        return $groups === [] ? throw InvalidInput::at('csv', 'there is no rating') : $groups;
    }
}
