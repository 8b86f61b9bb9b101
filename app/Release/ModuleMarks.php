<?php

declare(strict_types=1);

namespace App\Release;

use App\Enums\CaseKind;
use App\Enums\Role;
use App\Models\Module;
use App\Models\ModuleMark as Stored;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Release\ModuleMark;

/**
 * Module marks, from the results that are out and what is decided for single students. They are kept, and worked out
 * anew when what they come from has changed.
 */
final class ModuleMarks
{
    private const AT_ONCE = 500;

    /** Works out all of a module where something changed since they were last. */
    public function refresh(Module $module): void
    {
        if ($this->seen($module) === $module->marks_seen) {
            return;
        }
        DB::transaction(function () use ($module): void {
            $stored = Module::query()->lockForUpdate()->findOrFail($module->id);
            // Asked for anew under the lock: whoever waited finds it done.
            [$seen, $digest] = [$this->seen($stored), $this->digest($stored)];
            if ($digest !== $stored->marks_digest) {
                Stored::query()->where('module_id', $stored->id)->delete();
                foreach (array_chunk($this->rows($stored), self::AT_ONCE) as $rows) {
                    Stored::query()->insert($rows);
                }
            }
            $stored->update(['marks_digest' => $digest, 'marks_seen' => $seen]);
        });
        $module->refresh();
    }

    /**
     * What one student has, for the working.
     *
     * @return array{marks: array<string, BigDecimal>, exempt: array<string, true>} by assignment
     */
    public function inputs(Module $module, int $studentId): array
    {
        return $this->allInputs($module, $studentId)[$studentId] ?? ['marks' => [], 'exempt' => []];
    }

    /**
     * @return array<string, mixed>
     */
    private function row(Module $module, int $membershipId, ?ModuleMark $mark, string $why): array
    {
        $plan = $module->mark_plan;
        $below = $mark === null ? null : $plan->justBelow($mark->mark);

        return [
            'membership_id' => $membershipId, 'module_id' => $module->id,
            'mark' => $mark === null ? null : (string) $mark->mark,
            'shown' => $mark === null ? null : (string) $mark->mark,
            'band' => $mark === null ? null : $plan->bands->bandFor($mark->mark)->name,
            'passed' => $mark !== null && $mark->passed, 'complete' => $mark !== null && $mark->isComplete(),
            'just_below' => $below === null ? null : (string) $below, 'why' => mb_substr($why, 0, 300),
        ];
    }

    /**
     * @return list<array<string, mixed>>
     */
    private function rows(Module $module): array
    {
        if ($module->mark_plan->parts === []) {
            return [];
        }
        $inputs = $this->allInputs($module, null);
        $members = $module->memberships()->where('role', Role::Student)->toBase()->pluck('user_id', 'id');
        $rows = [];
        foreach ($members as $membershipId => $studentId) {
            $of = $inputs[$studentId] ?? ['marks' => [], 'exempt' => []];
            try {
                $rows[] = $this->row(
                    $module, (int) $membershipId, $module->mark_plan->mark($of['marks'], $of['exempt']), '',
                );
            } catch (InvalidInput $e) {
                $rows[] = $this->row($module, (int) $membershipId, null, $e->getMessage());
            }
        }

        return $rows;
    }

    /**
     * @return array<int, array{marks: array<string, BigDecimal>, exempt: array<string, true>}> by student
     */
    private function allInputs(Module $module, ?int $studentId): array
    {
        $of = DB::table('assignments')->where('module_id', $module->id)
            ->whereIn('public_id', $module->mark_plan->uses())->pluck('public_id', 'id');
        $found = [];
        $results = DB::table('results')->join('scripts', 'scripts.id', '=', 'results.holding_script_id')
            ->whereIn('scripts.assignment_id', $of->keys())->whereNotNull('results.mark')
            ->when($studentId !== null, fn ($query) => $query->where('scripts.student_id', $studentId))
            ->get(['scripts.student_id', 'scripts.assignment_id', 'results.shown']);
        foreach ($results as $one) {
            $found[$one->student_id]['marks'][(string) $of[$one->assignment_id]] = BigDecimal::of($one->shown);
        }
        $cases = DB::table('individual_cases')->join('scripts', 'scripts.id', '=', 'individual_cases.script_id')
            ->whereIn('scripts.assignment_id', $of->keys())->whereNull('individual_cases.ended_at')
            ->where('individual_cases.kind', CaseKind::Exempt)
            ->when($studentId !== null, fn ($query) => $query->where('scripts.student_id', $studentId))
            ->get(['scripts.student_id', 'scripts.assignment_id']);
        foreach ($cases as $one) {
            $found[$one->student_id]['exempt'][(string) $of[$one->assignment_id]] = true;
        }

        return array_map(fn (array $one) => $one + ['marks' => [], 'exempt' => []], $found);
    }

    /**
     * Of what changes with any result and any decision of the institution: read from the ends of indexes. While it is
     * the same, nothing of this module has changed.
     */
    private function seen(Module $module): string
    {
        return hash('sha256', (string) json_encode([
            DB::table('results')->max('id'),
            (array) DB::table('individual_cases')->selectRaw('MAX(id) AS last, COUNT(ended_at) AS ended')->first(),
            DB::table('memberships')->where('module_id', $module->id)->count(), $module->mark_plan->toArray(),
        ]));
    }

    /** Of everything a module mark follows from; results never change, a corrected one is a later row. */
    private function digest(Module $module): string
    {
        $assignments = DB::table('assignments')->where('module_id', $module->id)->select('id');
        $scripts = DB::table('scripts')->whereIn('assignment_id', $assignments);
        $results = DB::table('results')->whereIn('holding_script_id', (clone $scripts)->select('id'))
            ->selectRaw('COUNT(*) AS n, MAX(id) AS last, SUM(mark) AS total')->first();
        $cases = DB::table('individual_cases')->whereIn('script_id', $scripts->select('id'))
            ->where('kind', CaseKind::Exempt)->selectRaw(
                'COUNT(*) AS n, MAX(updated_at) AS last, COUNT(ended_at) AS ended'
            )
            ->first();
        $members = DB::table('memberships')->where('module_id', $module->id)->where('role', Role::Student->value)
            ->selectRaw('COUNT(*) AS n, MAX(id) AS last')->first();

        return hash('sha256', (string) json_encode(
            [(array) $results, (array) $cases, (array) $members, $module->mark_plan->toArray()],
        ));
    }
}
