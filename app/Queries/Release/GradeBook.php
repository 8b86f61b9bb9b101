<?php

declare(strict_types=1);

namespace App\Queries\Release;

use App\Enums\Role;
use App\Models\Assignment;
use App\Models\Membership;
use App\Models\Module;
use App\Models\Script;
use App\Queries\NameOrder;
use Illuminate\Support\Collection;
use YoungHarbor\Core\Tables\Csv;

/**
 * The grade book of a module: students down, assignments across. Before release a cell says whether work is in, and
 * nothing that would lead from a name to a script.
 */
final class GradeBook
{
    /**
     * @return array{assignments: Collection<int, Assignment>, rows: list<array{name: string, number: string, email: string, section: string, cells: array<int, array{state: string, mark: string|null, band: string|null, link: string|null, opened: bool, missing: bool}>}>}
     */
    public function of(Module $module): array
    {
        $assignments = $module->assignments()->whereNotNull('published_at')->orderBy('due_at')->get();
        $scripts = Script::query()->whereIn('assignment_id', $assignments->pluck('id'))
            ->with(['result:id,public_id,script_id,mark,shown,band,first_opened_at', 'openCases', 'currentHandin:id,script_id,late'])->get()->groupBy('student_id');
        $rows = [];
        foreach (
            $module->memberships()->with('user')->where('role', Role::Student)->get()
                ->sortBy(fn (Membership $m) => NameOrder::key($m->user->name)) as $member
        ) {
            $own = ($scripts[$member->user_id] ?? collect())->keyBy('assignment_id');
            $rows[] = [
                'name' => $member->user->name, 'number' => (string) $member->user->number,
                'email' => $member->user->email,
                'section' => (string) $member->section,
                'cells' => $assignments->mapWithKeys(
                    fn (Assignment $assignment) => [
                        $assignment->id => $this->cell($own[$assignment->id] ?? null, $assignment),
                    ]
                )->all(),
            ];
        }

        return ['assignments' => $assignments, 'rows' => $rows];
    }

    /**
     * @param  array{assignments: Collection<int, Assignment>, rows: list<array<string, mixed>>}  $book
     * @return list<string>
     */
    public function csv(array $book): array
    {
        $head = ['Name', 'Number', 'Mail', 'Section'];
        foreach ($book['assignments'] as $assignment) {
            array_push(
                $head, "{$assignment->title}: mark", "{$assignment->title}: band", "{$assignment->title}: state",
            );
        }
        $lines = ["\u{FEFF}".Csv::line($head)];
        foreach ($book['rows'] as $row) {
            $cells = [$row['name'], $row['number'], $row['email'], $row['section']];
            foreach ($row['cells'] as $cell) {
                array_push($cells, $cell['mark'], $cell['band'], $cell['state']);
            }
            $lines[] = Csv::line($cells);
        }

        return $lines;
    }

    /**
     * @return array{state: string, mark: string|null, band: string|null, link: string|null, opened: bool, missing: bool} missing: overdue, and still to be had
     */
    private function cell(?Script $script, Assignment $assignment): array
    {
        $result = $script?->setRelation('assignment', $assignment)->result;
        if ($result !== null) {
            return [
                'state' => $result->mark === null ? 'feedback is out' : 'released', 'mark' => $result->shownMark(),
                'band' => $result->band, 'link' => route('results.show', $result),
                'opened' => $result->first_opened_at !== null, 'missing' => false,
            ];
        }
        $state = match (true) {
            $script === null => 'not on the list',
            $script->outcomeCase() !== null => $script->outcomeCase()->inWords(),
            $script->left_at !== null && $script->currentHandin === null => 'left',
            $script->currentHandin === null => 'not handed in',
            $script->currentHandin->late => 'handed in late',
            default => 'handed in',
        };

        return [
            'state' => $state, 'mark' => null, 'band' => null, 'link' => null, 'opened' => false,
            'missing' => $script !== null && $state === 'not handed in' && $script->isPastDue()
                && $script->takesHandIns(),
        ];
    }
}
