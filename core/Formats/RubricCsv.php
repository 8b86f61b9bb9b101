<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Formats;

use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Rubric\Draft;
use YoungHarbor\Core\Rubric\PastedTable;
use YoungHarbor\Core\Tables\Csv;
use YoungHarbor\Core\Tables\Delimited;

/**
 * A rubric as a table: a row a criterion, a column a level. What a table cannot hold is listed by {@see self::lost()}.
 */
final class RubricCsv
{
    public static function write(Draft $draft): string
    {
        $head = [
            'Criterion', 'What it looks for',
            ...array_map(
                fn (array $level) => $draft->titleOf($level).' ('.Draft::pointsText($level).')', $draft->levels(),
            ),
            'Weight',
        ];
        $csv = "\u{FEFF}".Csv::line($head);
        foreach ($draft->criteria() as $criterion) {
            $at = "criteria.{$criterion['id']}";
            $csv .= Csv::line([
                $draft->get("{$at}.title"), $draft->get("{$at}.purpose"),
                ...array_map(fn (array $level) => $draft->get("{$at}.descriptors.{$level['id']}"), $draft->levels()),
                $draft->get("{$at}.weight"),
            ]);
        }

        return $csv;
    }

    /**
     * @throws InvalidInput when there is no table in it
     */
    public static function read(string $csv, string $title): Draft
    {
        $rows = Delimited::rows($csv);
        if ($rows === [] || max(array_map(count(...), $rows)) < 2) {
            throw InvalidInput::at(
                '', 'there is no table in the file: one column with the criteria and one or more beside it are wanted',
            );
        }
        $purpose = mb_strtolower(trim($rows[0][1] ?? '')) === 'what it looks for';
        if ($purpose) {
            // Title and purpose share the first cell of a pasted table, a line each.
            $rows = array_map(function (array $row): array {
                $about = trim($row[1] ?? '');

                return [
                    trim($row[0]).($about === '' || $about === 'What it looks for' ? '' : "\n{$about}"),
                    ...array_slice($row, 2),
                ];
            }, $rows);
        }
        $text = implode(
            '',
            array_map(
                fn (array $row) => implode(
                    "\t", array_map(fn (string $cell) => '"'.str_replace('"', '""', Csv::read($cell)).'"', $row),
                )."\n",
                $rows,
            ),
        );

        return PastedTable::of($text, $purpose ? true : null)->onto(Draft::blank($title), replace: true);
    }

    /**
     * @return list<string> what of the rubric a table cannot hold
     */
    public static function lost(Draft $draft): array
    {
        return Losses::of($draft, [
            'kinds' => 'criteria that are scales, checklists or comments only lose what makes them so',
            'own levels' => 'levels a criterion has of its own',
            'guidance' => 'guidance to the next level', 'own points' => 'points of single cells',
            'unused' => 'which cells are not used', 'optional' => 'which criteria are optional',
        ]);
    }
}
