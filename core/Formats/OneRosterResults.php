<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Formats;

use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Tables\Csv;
use YoungHarbor\Core\Tables\CsvRows;

/**
 * What was released, as the grade book files of OneRoster 1.2 CSV (1EdTech): the school year, the class, assignments as
 * line items, results, and grade bands as score scales. Columns are in the order of the specification, written from
 * memory.
 */
final class OneRosterResults
{
    /** @var array<string, list<string>> */
    public const COLUMNS = [
        'orgs' => OneRoster::COLUMNS['orgs'],
        'academicSessions' => OneRoster::COLUMNS['academicSessions'],
        'courses' => OneRoster::COLUMNS['courses'],
        'classes' => OneRoster::COLUMNS['classes'],
        'categories' => ['sourcedId', 'status', 'dateLastModified', 'title', 'weight'],
        'scoreScales' => [
            'sourcedId', 'status', 'dateLastModified', 'title', 'type', 'orgSourcedId', 'courseSourcedId',
            'classSourcedId', 'scoreScaleValue',
        ],
        'lineItems' => [
            'sourcedId', 'status', 'dateLastModified', 'title', 'description', 'assignDate', 'dueDate', 'classSourcedId',
            'categorySourcedId', 'gradingPeriodSourcedId', 'resultValueMin', 'resultValueMax', 'schoolSourcedId',
            'scoreScaleSourcedId',
        ],
        'results' => [
            'sourcedId', 'status', 'dateLastModified', 'lineItemSourcedId', 'studentSourcedId', 'scoreStatus', 'score',
            'textScore', 'scoreDate', 'comment', 'classSourcedId', 'scoreScaleSourcedId', 'inProgress', 'incomplete',
            'late', 'missing',
        ],
    ];

    /**
     * @param  array{institution: string, code: string, title: string, id: string}  $module
     * @param  int  $year  in which the school year ends
     * @param  list<array{id: string, title: string, bands: list<array{name: string, from: string}>}>  $scales
     * @param  list<array{id: string, title: string, due: string, assigned: string, scale: string}>  $lines  assignments; dates as Y-m-d
     * @param  list<array{id: string, line: string, student: string, score: string|null, band: string|null, date: string, late: bool, provisional: bool}>  $results
     * @return array<string, string> files by name
     */
    public static function write(array $module, int $year, array $scales, array $lines, array $results): array
    {
        $files = array_map(fn (array $columns) => Csv::line($columns), self::COLUMNS);
        $add = function (string $file, string ...$cells) use (&$files): void {
            $files[$file] .= self::line(self::COLUMNS[$file], $cells);
        };
        $org = 'org-'.substr(hash('sha256', $module['institution']), 0, 12);
        [$session, $class] = ["year-{$year}", "class-{$module['id']}"];
        $add('orgs', sourcedId: $org, name: $module['institution'], type: 'school');
        $add('academicSessions', sourcedId: $session, title: ($year - 1)."/{$year}", type: 'schoolYear',
            startDate: ($year - 1).'-09-01', endDate: "{$year}-08-31", schoolYear: (string) $year,
        );
        $add('courses', sourcedId: "course-{$module['id']}", schoolYearSourcedId: $session, title: $module['title'],
            courseCode: $module['code'], orgSourcedId: $org,
        );
        $add('classes', sourcedId: $class, title: $module['title'], courseSourcedId: "course-{$module['id']}",
            classType: 'scheduled', schoolSourcedId: $org, termSourcedIds: $session,
        );
        $add('categories', sourcedId: 'category-assignments', title: 'Assignments');
        foreach ($scales as $scale) {
            $add('scoreScales', sourcedId: $scale['id'], title: $scale['title'], type: 'bands', orgSourcedId: $org,
                courseSourcedId: "course-{$module['id']}", classSourcedId: $class,
                scoreScaleValue: '{'.implode(',', array_map(
                    fn (array $band) => "{$band['from']}:{$band['name']}", $scale['bands'],
                )).'}',
            );
        }
        foreach ($lines as $line) {
            $add('lineItems', sourcedId: $line['id'], title: $line['title'], assignDate: $line['assigned'],
                dueDate: $line['due'], classSourcedId: $class, categorySourcedId: 'category-assignments',
                gradingPeriodSourcedId: $session, resultValueMin: '0', resultValueMax: '100',
                schoolSourcedId: $org, scoreScaleSourcedId: $line['scale'],
            );
        }
        $scaleOf = array_column($lines, 'scale', 'id');
        foreach ($results as $one) {
            $add('results', sourcedId: $one['id'], lineItemSourcedId: $one['line'], studentSourcedId: $one['student'],
                scoreStatus: $one['provisional'] ? 'partially graded' : 'fully graded',
                score: (string) $one['score'], textScore: (string) $one['band'], scoreDate: $one['date'],
                classSourcedId: $class, scoreScaleSourcedId: $scaleOf[$one['line']] ?? '',
                inProgress: 'false', incomplete: 'false', late: $one['late'] ? 'true' : 'false',
                missing: 'false',
            );
        }
        $manifest = Csv::line(['propertyName', 'value']).Csv::line(['manifest.version', '1.0'])
            .Csv::line(['oneroster.version', '1.2']);
        $names = array_fill_keys(array_keys(self::COLUMNS), 'bulk')
            + array_fill_keys([...OneRoster::ABSENT, ...array_keys(OneRoster::COLUMNS)], 'absent');
        ksort($names, SORT_FLAG_CASE | SORT_STRING);
        foreach ($names as $name => $state) {
            $manifest .= Csv::line(["file.{$name}", $state]);
        }
        $all = ['manifest.csv' => $manifest.Csv::line(['source.systemName', 'Young Harbor'])
            .Csv::line(['source.systemCode', ''])];
        foreach ($files as $name => $text) {
            $all["{$name}.csv"] = $text;
        }

        return $all;
    }

    /**
     * Reads such files back.
     *
     * @param  array<string, string>  $files  their bytes by name
     * @return list<array{student: string, line: string, title: string, score: string, band: string, scale: string, late: bool}>
     *
     * @throws InvalidInput for a file that is missing, or a result of a line item that is not there
     */
    public static function read(array $files): array
    {
        $rows = function (string $name) use ($files): array {
            $text = $files["{$name}.csv"] ?? throw InvalidInput::at("{$name}.csv", 'is missing');

            return iterator_to_array(CsvRows::byHeading(CsvRows::utf8($text)[0]));
        };
        $titles = array_column($rows('lineItems'), 'title', 'sourcedid');
        $scales = array_column($rows('scoreScales'), 'scorescalevalue', 'sourcedid');
        $found = [];
        foreach ($rows('results') as $line => $row) {
            isset($titles[$row['lineitemsourcedid']]) || throw InvalidInput::at(
                "results.csv line {$line}", "there is no line item “{$row['lineitemsourcedid']}”",
            );
            $found[] = [
                'student' => $row['studentsourcedid'], 'line' => $row['lineitemsourcedid'],
                'title' => $titles[$row['lineitemsourcedid']], 'score' => $row['score'], 'band' => $row['textscore'],
                'scale' => $scales[$row['scorescalesourcedid']] ?? '', 'late' => $row['late'] === 'true',
            ];
        }

        return $found;
    }

    /**
     * @param  list<string>  $columns
     * @param  array<array-key, string>  $cells  by column; the others are empty
     */
    private static function line(array $columns, array $cells): string
    {
        $line = [];
        foreach ($columns as $column) {
            $line[] = $cells[$column] ?? '';
        }

        return Csv::line($line);
    }
}
