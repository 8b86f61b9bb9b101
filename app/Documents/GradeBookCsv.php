<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Module;
use App\Queries\Release\GradeBook;
use App\Queries\Release\GradeBookFilter;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Tables\Csv;

/**
 * A grade book as a table for spreadsheets: UTF-8 with its mark, so that letters of every language come right.
 */
final class GradeBookCsv
{
    public const COLUMNS = ['name', 'number', 'candidate', 'mail', 'section', 'module', 'mark', 'band', 'state'];

    public const SEPARATORS = ['comma' => ',', 'semicolon' => ';', 'tab' => "\t"];

    /** Of each assignment. */
    private const OF_EACH = ['mark', 'band', 'state'];

    public function __construct(private readonly GradeBook $book)
    {
    }

    /**
     * @param  list<string>  $columns  of COLUMNS, in their order
     * @param  string  $decimalSign  a point or a comma
     */
    public function of(Module $module, array $columns, string $separator, string $decimalSign): string
    {
        $module->mark_plan->parts === [] && $columns = array_values(array_diff($columns, ['module']));
        // One snapshot: what is read of the last row is from the same moment as of the first.
        ['assignments' => $assignments, 'rows' => $rows] = DB::transaction(
            fn () => $this->book->whole($module, new GradeBookFilter),
        );
        $each = array_values(array_intersect(self::OF_EACH, $columns));
        $figure = fn (?string $mark): string => str_replace('.', $decimalSign, (string) $mark);
        $head = [];
        foreach (array_diff($columns, self::OF_EACH) as $column) {
            array_push($head, ...match ($column) {
                'name' => ['Name'], 'number' => ['Number'], 'candidate' => ['Candidate number'], 'mail' => ['Mail'],
                'section' => ['Section'],
                default => ['Module mark', 'Module band', 'Passed', 'Complete'],
            });
        }
        foreach ($assignments as $assignment) {
            foreach ($each as $what) {
                $head[] = "{$assignment->title}: {$what}";
            }
        }
        $text = "\u{FEFF}".Csv::line($head, $separator);
        foreach ($rows as ['member' => $member, 'cells' => $cells]) {
            $line = [];
            $mark = $member->moduleMark;
            foreach (array_diff($columns, self::OF_EACH) as $column) {
                array_push($line, ...match ($column) {
                    'name' => [$member->user->name], 'number' => [(string) $member->user->number],
                    'candidate' => [(string) $member->candidate_number], 'mail' => [$member->user->email],
                    'section' => [(string) $member->section],
                    default => $mark === null || $mark->shown === null
                        ? ['', '', '', '']
                        : [
                            $figure($mark->shown), (string) $mark->band, $mark->passed ? 'yes' : 'no',
                            $mark->complete ? 'yes' : 'no',
                        ],
                });
            }
            foreach ($cells as $cell) {
                foreach ($each as $what) {
                    $line[] = match ($what) {
                        'mark' => $figure($cell['mark']), 'band' => (string) $cell['band'], default => $cell['state'],
                    };
                }
            }
            $text .= Csv::line($line, $separator);
        }

        return $text;
    }
}
