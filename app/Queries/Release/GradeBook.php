<?php

declare(strict_types=1);

namespace App\Queries\Release;

use App\Enums\CaseKind;
use App\Enums\Role;
use App\Models\Assignment;
use App\Models\Membership;
use App\Models\Module;
use App\Models\Script;
use App\Queries\AssignmentCounts;
use App\Queries\Moderate\SignOff;
use App\Release\ModuleMarks;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder as Query;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Fairway\Counts;
use YoungHarbor\Core\Marking\Standing;
use YoungHarbor\Core\Release\AbsentGet;

/**
 * The grade book of a module: students down, assignments across, and the module mark. Before names are revealed a cell
 * says whether work is in, late or held and what was released, and nothing that would lead from a name to a script.
 *
 * @phpstan-type Cell array{state: string, standing: Standing, mark: string|null, band: string|null, result: string|null, script: string|null, late: bool, unread: bool, missing: bool}
 */
final class GradeBook
{
    public const A_PAGE = 50;

    public function __construct(
        private readonly ModuleMarks $marks, private readonly AssignmentCounts $counts,
        private readonly SignOff $signOff,
    ) {
    }

    /**
     * @return array{assignments: Collection<int, Assignment>, rows: list<array{member: Membership, cells: array<int, Cell>}>, found: int, pages: int, sections: list<string>, bands: list<string>, strip: list<array{assignment: Assignment, counts: Counts, unsigned: int}>, hasMarks: bool}
     */
    public function of(Module $module, GradeBookFilter $filter): array
    {
        $this->marks->refresh($module);
        $assignments = $this->assignments($module);
        $members = $this->members($module, $assignments, $filter);
        $found = (clone $members)->count();
        $pages = max(1, (int) ceil($found / self::A_PAGE));
        $shown = $this->ordered($members, $assignments, $filter)
            ->forPage(min($filter->page, $pages), self::A_PAGE)->with(['user', 'moduleMark'])->get();
        $counts = $this->counts->ofMany($assignments);
        $unsigned = $this->signOff->missingOf($assignments);

        return [
            'assignments' => $assignments, 'rows' => $this->rows($shown, $assignments), 'found' => $found,
            'pages' => $pages,
            'sections' => array_values($module->memberships()->where('role', Role::Student)->whereNotNull('section')
                ->distinct()->orderBy('section')->toBase()->pluck('section')->map(
                    fn (mixed $one) => (string) $one
                )->all()),
            'bands' => array_map(fn ($band) => $band->name, ($assignments->firstWhere(
                'public_id', $filter->in,
            )?->scale()
                ?? $module->mark_plan->bands)->bands),
            'strip' => array_values($assignments->map(
                fn (Assignment $one) => [
                    'assignment' => $one, 'counts' => $counts[$one->id],
                    // Signatures are asked for once there is something to sign.
                    'unsigned' => $counts[$one->id]->agreed > 0 ? $unsigned[$one->id] ?? 0 : 0,
                ],
            )->all()),
            'hasMarks' => $module->mark_plan->parts !== [],
        ];
    }

    /**
     * All of a module, in the order of names: for what is taken away.
     *
     * @return array{assignments: Collection<int, Assignment>, rows: list<array{member: Membership, cells: array<int, Cell>}>}
     */
    public function whole(Module $module, GradeBookFilter $filter): array
    {
        $this->marks->refresh($module);
        $assignments = $this->assignments($module);
        $members = $this->ordered($this->members($module, $assignments, $filter), $assignments, $filter)
            ->with(['user', 'moduleMark'])->get();

        return ['assignments' => $assignments, 'rows' => $this->rows($members, $assignments)];
    }

    /**
     * @return Collection<int, Assignment>
     */
    private function assignments(Module $module): Collection
    {
        return $module->assignments()->whereNotNull('published_at')->orderBy('due_at')->orderBy('id')->get()
            ->each(fn (Assignment $one) => $one->setRelation('module', $module));
    }

    /**
     * @param  Collection<int, Assignment>  $assignments
     * @return Builder<Membership>
     */
    private function members(Module $module, Collection $assignments, GradeBookFilter $filter): Builder
    {
        $in = $assignments->where('public_id', $filter->in);
        $of = $in->isEmpty() ? $assignments : $in;
        $members = Membership::query()->where('memberships.module_id', $module->id)
            ->where('memberships.role', Role::Student);
        $filter->section === '' || $members->where('memberships.section', $filter->section);
        $filter->state === '' || $members->whereExists(
            fn (Query $query) => $this->inState($this->scripts($query, $of), $filter->state),
        );
        $filter->needsMe && $members->whereExists(fn (Query $query) => $this->toDecide($this->scripts(
            $query, $assignments->filter(fn (Assignment $one) => $one->release->absent !== AbsentGet::Nothing),
        )));
        if ($filter->band !== '') {
            $members->whereExists(fn (Query $query) => $in->isEmpty()
                ? $query->selectRaw('1')->from('module_marks')->whereColumn('membership_id', 'memberships.id')
                    ->where('band', $filter->band)
                : $this->scripts($query, $in)->join('results', 'results.holding_script_id', '=', 'scripts.id')
                    ->where('results.band', $filter->band));
        }

        return $members;
    }

    /**
     * @param  iterable<Assignment>  $assignments
     */
    private function scripts(Query $query, iterable $assignments): Query
    {
        return $query->selectRaw('1')->from('scripts')->whereColumn('scripts.student_id', 'memberships.user_id')
            ->whereIn('scripts.assignment_id', collect($assignments)->pluck('id'));
    }

    private function inState(Query $scripts, string $state): Query
    {
        $out = fn (Query $query) => $query->selectRaw('1')->from('results')
            ->whereColumn('results.holding_script_id', 'scripts.id');
        $decided = fn (Query $query) => $query->selectRaw('1')->from('individual_cases')
            ->whereColumn('individual_cases.script_id', 'scripts.id')->whereNull('ended_at')
            ->whereIn('kind', CaseKind::outcomes());

        return match ($state) {
            'released' => $scripts->whereExists($out),
            'unread' => $scripts->whereExists(fn (Query $query) => $out($query)->whereNull('first_opened_at')),
            'held' => $scripts->whereNotNull('held_reason')->whereNotExists($out),
            'decided' => $scripts->whereExists($decided),
            'late' => $scripts->where('late', true),
            'in' => $scripts->whereNotNull('current_handin_id')->whereNotExists($out),
            'overdue' => $scripts->whereNull('current_handin_id')->whereNull('left_at')->where('due_at', '<', now())
                ->whereNotExists($out)->whereNotExists($decided),
            default => $scripts->whereNull('current_handin_id')->whereNotExists($out)->whereNotExists($decided),
        };
    }

    /** Someone handed in nothing, can no longer, and nothing is decided. */
    private function toDecide(Query $scripts): Query
    {
        return $this->inState($scripts, 'overdue')->where('closes_at', '<=', now());
    }

    /**
     * @param  Builder<Membership>  $members
     * @param  Collection<int, Assignment>  $assignments
     * @return Builder<Membership>
     */
    private function ordered(Builder $members, Collection $assignments, GradeBookFilter $filter): Builder
    {
        $way = $filter->isDescending ? 'desc' : 'asc';
        $members->select('memberships.*')->join('users', 'users.id', '=', 'memberships.user_id');
        $in = $assignments->firstWhere('public_id', $filter->in);
        match ($filter->sort) {
            'number' => $members->orderBy('users.number', $way),
            'section' => $members->orderBy('memberships.section', $way),
            'mark' => $members->orderByRaw('sorted IS NULL')->orderBy('sorted', $way)->selectSub(
                $in === null
                    ? DB::table('module_marks')->whereColumn('membership_id', 'memberships.id')->select('mark')
                    : DB::table('results')->join('scripts', 'scripts.id', '=', 'results.holding_script_id')
                        ->where('scripts.assignment_id', $in->id)
                        ->whereColumn('scripts.student_id', 'memberships.user_id')->select('results.mark')->limit(1),
                'sorted',
            ),
            default => null,
        };

        return $members->orderBy('users.name', $filter->sort === 'name' ? $way : 'asc')->orderBy('memberships.id');
    }

    /**
     * @param  Collection<int, Membership>  $members
     * @param  Collection<int, Assignment>  $assignments
     * @return list<array{member: Membership, cells: array<int, Cell>}>
     */
    private function rows(Collection $members, Collection $assignments): array
    {
        $scripts = Script::query()->whereIn('assignment_id', $assignments->pluck('id'))
            ->whereIn('student_id', $members->pluck('user_id'))
            ->with(
                ['result:id,public_id,script_id,mark,shown,band,first_opened_at', 'openCases', 'lead:id,public_id']
            )->get()
            ->groupBy('student_id');

        return array_values($members->map(function (Membership $member) use ($scripts, $assignments): array {
            $own = ($scripts[$member->user_id] ?? collect())->keyBy('assignment_id');

            return ['member' => $member, 'cells' => $assignments->mapWithKeys(fn (Assignment $assignment) => [
                $assignment->id => $this->cell($own[$assignment->id] ?? null, $assignment),
            ])->all()];
        })->all());
    }

    /**
     * @return Cell
     */
    private function cell(?Script $script, Assignment $assignment): array
    {
        $result = $script?->setRelation('assignment', $assignment)->result;
        $isIn = $script?->current_handin_id !== null;
        $case = $script?->outcomeCase();
        $standing = match (true) {
            $result !== null => Standing::Released,
            $script === null => Standing::Expected,
            $script->held_reason !== null && $isIn => Standing::Held,
            // Where marking stands is told beside the name once names are no secret.
            $isIn && $assignment->namesRevealed() => $script->standing,
            $isIn => Standing::HandedIn,
            default => Standing::Expected,
        };
        $state = match (true) {
            $result !== null => $result->mark === null ? 'feedback is out' : 'released',
            $script === null => 'not on the list',
            $case !== null => $case->inWords(),
            $script->left_at !== null && ! $isIn => 'left',
            ! $isIn => 'not handed in',
            $standing === Standing::HandedIn && $script->late => 'handed in late',
            default => (string) __("mark.standing.{$standing->value}"),
        };

        return [
            'state' => $state, 'standing' => $standing, 'mark' => $result?->shownMark(), 'band' => $result?->band,
            'result' => $result?->public_id,
            'script' => $isIn && $assignment->namesRevealed() ? $script->leadScript()->public_id : null,
            'late' => $script !== null && $script->late,
            'unread' => $result !== null && $result->first_opened_at === null,
            'missing' => $script !== null && $state === 'not handed in' && $script->isPastDue()
                && $script->takesHandIns(),
        ];
    }
}
