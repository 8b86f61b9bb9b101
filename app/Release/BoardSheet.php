<?php

declare(strict_types=1);

namespace App\Release;

use App\Enums\Role;
use App\Models\IndividualCase;
use App\Models\Membership;
use App\Models\Module;
use App\Wording\ModuleMarkWords;
use Illuminate\Support\Facades\DB;

/**
 * A module's results for a board of examiners: by candidate number, without a name, with what the board asks about.
 *
 * @phpstan-type Row array{candidate: string, marks: array<string, string>, mark: string|null, band: string|null, passed: bool, complete: bool, just_below: string|null, cases: list<string>, left: bool}
 */
final class BoardSheet
{
    public function __construct(private readonly ModuleMarks $marks)
    {
    }

    /**
     * As it is now, one snapshot.
     *
     * @return array{module: string, rules: list<string>, parts: list<array{title: string, weight: string, of: array<string, string>}>, rows: list<Row>, bands: array<string, int>, without: int, provisional: int, digest: string}
     */
    public function of(Module $module): array
    {
        $this->marks->refresh($module);

        return DB::transaction(fn (): array => $this->sheet($module));
    }

    /**
     * @return array{module: string, rules: list<string>, parts: list<array{title: string, weight: string, of: array<string, string>}>, rows: list<Row>, bands: array<string, int>, without: int, provisional: int, digest: string}
     */
    private function sheet(Module $module): array
    {
        $titles = $module->assignments()->pluck('title', 'public_id')->map(fn (mixed $one) => (string) $one)->all();
        $members = $module->memberships()->where('role', Role::Student)->with('moduleMark')->get();
        $marks = $this->released($module);
        $cases = $this->cases($module);
        $rows = array_values($members->whereNotNull('candidate_number')->map(
            fn (Membership $member) => $this->row(
                $member, $marks[$member->user_id] ?? [], $cases[$member->user_id] ?? [],
            ),
        )->sortBy('candidate', SORT_NATURAL)->all());
        $bands = [];
        foreach ($module->mark_plan->bands->bands as $band) {
            $bands[$band->name] = count(array_filter($rows, fn (array $row) => $row['complete'] && $row['band'] === $band->name));
        }
        $sheet = [
            'module' => $module->fullTitle(), 'rules' => ModuleMarkWords::rules($module->mark_plan),
            'parts' => ModuleMarkWords::parts($module->mark_plan, $titles), 'rows' => $rows, 'bands' => $bands,
        ];

        return $sheet + [
            'without' => $members->whereNull('left_at')->whereNull('candidate_number')->count(),
            'provisional' => $this->provisional($module),
            'digest' => hash('sha256', (string) json_encode($sheet)),
        ];
    }

    /**
     * @param  array<string, string>  $marks
     * @param  list<string>  $cases
     * @return Row
     */
    private function row(Membership $member, array $marks, array $cases): array
    {
        $mark = $member->moduleMark;

        return [
            'candidate' => (string) $member->candidate_number, 'marks' => $marks, 'mark' => $mark?->shown,
            'band' => $mark?->band, 'passed' => $mark !== null && $mark->passed,
            'complete' => $mark !== null && $mark->shown !== null && $mark->complete, 'just_below' => $mark?->just_below,
            'cases' => [...$cases, ...($mark !== null && $mark->why !== '' ? [$mark->why] : [])],
            'left' => $member->left_at !== null,
        ];
    }

    /**
     * @return array<int, array<string, string>> by student and assignment
     */
    private function released(Module $module): array
    {
        $found = [];
        $rows = DB::table('results')->join('scripts', 'scripts.id', '=', 'results.holding_script_id')
            ->join('assignments', 'assignments.id', '=', 'scripts.assignment_id')
            ->where('assignments.module_id', $module->id)->whereIn('assignments.public_id', $module->mark_plan->uses())
            ->whereNotNull('results.mark')->get(['scripts.student_id', 'assignments.public_id', 'results.shown']);
        foreach ($rows as $row) {
            $found[$row->student_id][$row->public_id] = (string) $row->shown;
        }
        array_walk($found, fn (array &$marks) => ksort($marks));

        return $found;
    }

    /**
     * What was decided, without its reason, which may be about health.
     *
     * @return array<int, list<string>> by student
     */
    private function cases(Module $module): array
    {
        $found = [];
        $cases = IndividualCase::query()->whereNull('ended_at')
            ->whereHas('script.assignment', fn ($query) => $query->where('module_id', $module->id))
            ->with(['script:id,student_id,assignment_id', 'script.assignment:id,title'])->orderBy('id')->get();
        foreach ($cases as $case) {
            $found[$case->script->student_id][] = "{$case->script->assignment->title}: {$case->inWords()}";
        }

        return $found;
    }

    private function provisional(Module $module): int
    {
        return DB::table('results')->join('scripts', 'scripts.id', '=', 'results.holding_script_id')
            ->whereIn('scripts.assignment_id', $module->assignments()->select('id'))
            ->where('provisional', true)->whereNull('confirmed_at')->count();
    }
}
