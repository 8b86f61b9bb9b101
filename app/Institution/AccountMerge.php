<?php

declare(strict_types=1);

namespace App\Institution;

use App\Enums\Role;
use App\Models\AllocationPlan;
use App\Models\Membership;
use App\Models\Module;
use App\Models\ObservationGround;
use App\Models\Script;
use App\Models\User;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Lang;

/**
 * Puts what one account has into another, when one person has come twice: whatever in the database points at the one
 * points at the other afterwards. What both have in one place is refused and named, unless one of the two is empty.
 * Runs in a transaction of its caller's, who takes it back where there are obstacles or only a look was asked for.
 */
final class AccountMerge
{
    /** Tables that say how someone likes things, or what was told them: what is there twice goes. */
    private const LIKINGS = ['reply_readings', 'topic_readers', 'rubric_editors', 'rubric_steps', 'conversation_people'];

    /** What a script has without anybody having done anything. */
    private const OF_EMPTY = ['participations'];

    /** @var list<string> */
    private array $obstacles = [];

    /** @var list<string> */
    private array $taken = [];

    /** @var list<string> */
    private array $dropped = [];

    public function __invoke(User $keep, User $gone): MergeOutcome
    {
        $this->obstacles = $this->taken = $this->dropped = [];
        $this->lookAtBoth($keep, $gone);
        foreach ($gone->memberships()->with('module')->get() as $membership) {
            $this->module($membership, $keep);
        }
        if ($this->obstacles === []) {
            foreach ($this->pointingAt('users') as [$table, $column]) {
                // What was merged into the one that goes was merged into the other.
                $this->point($table, $column, $gone->id, $keep->id);
            }
            $this->observers($gone->id, $keep->id);
        }

        return new MergeOutcome(
            array_values(array_unique($this->obstacles)), $this->taken, array_values(array_unique($this->dropped)),
        );
    }

    private function lookAtBoth(User $keep, User $gone): void
    {
        $keep->is($gone) && $this->obstacles[] = __('accounts.merge.same');
        foreach ([$keep, $gone] as $one) {
            $one->merged_into_id === null
                || $this->obstacles[] = __('accounts.merge.merged_already', ['name' => $one->name, 'email' => $one->email]);
        }
        $plans = AllocationPlan::query()->where('state', 'draft')->with('assignment:id,title')
            ->whereHas('assignment', fn ($query) => $query->whereIn(
                'id', DB::table('assignment_markers')->where('user_id', $gone->id)->select('assignment_id'),
            ))->get();
        foreach ($plans as $plan) {
            $this->obstacles[] = __('accounts.merge.plan', ['assignment' => $plan->assignment->title]);
        }
    }

    private function module(Membership $gone, User $keep): void
    {
        $kept = Membership::query()->where('module_id', $gone->module_id)->where('user_id', $keep->id)->first();
        if ($kept === null) {
            $this->taken[] = $gone->module->code;

            return;
        }
        if ($kept->role !== $gone->role) {
            $this->obstacles[] = __('accounts.merge.roles', [
                'module' => $gone->module->code, 'one' => $kept->role->label(), 'other' => $gone->role->label(),
            ]);

            return;
        }
        $kept->role === Role::Student && $this->scripts($gone->module, $keep->id, $gone->user_id);
        if ($this->obstacles !== []) {
            return;
        }
        foreach ($this->pointingAt('memberships') as [$table, $column]) {
            $this->point($table, $column, $gone->id, $kept->id);
        }
        $kept->update([
            'section' => $kept->section ?? $gone->section,
            'candidate_number' => $kept->candidate_number ?? $gone->candidate_number,
            'left_at' => $gone->left_at === null ? null : $kept->left_at,
        ]);
        $gone->delete();
    }

    /** Each of them has a script in every assignment of a module: one of the two must be empty. */
    private function scripts(Module $module, int $keep, int $gone): void
    {
        $both = Script::query()->whereIn('student_id', [$keep, $gone])
            ->whereHas('assignment', fn ($query) => $query->where('module_id', $module->id))->with('assignment:id,title')
            ->get()->groupBy('assignment_id')->filter(fn ($scripts) => $scripts->count() === 2);
        foreach ($both as $scripts) {
            $title = $scripts->firstOrFail()->assignment->title;
            $empty = $scripts->sortBy(fn (Script $script) => $script->student_id === $gone ? 0 : 1)
                ->first(fn (Script $script) => $this->isEmpty($script));
            if ($empty === null) {
                $this->obstacles[] = __('accounts.merge.both', ['module' => $module->code, 'assignment' => $title]);

                continue;
            }
            foreach (self::OF_EMPTY as $table) {
                DB::table($table)->where('script_id', $empty->id)->delete();
            }
            DB::table('scripts')->where('id', $empty->id)->delete();
            $this->dropped[] = $title;
        }
    }

    private function isEmpty(Script $script): bool
    {
        foreach ($this->pointingAt('scripts') as [$table, $column]) {
            if (
                ! in_array($table, self::OF_EMPTY, true)
                && DB::table($table)->where($column, $script->id)->exists()
            ) {
                return false;
            }
        }

        return $script->lead_id === null && $script->group_name === null;
    }

    private function point(string $table, string $column, int $from, int $to): void
    {
        if (in_array($table, self::LIKINGS, true)) {
            DB::statement("UPDATE IGNORE `{$table}` SET `{$column}` = ? WHERE `{$column}` = ?", [$to, $from]);
            DB::table($table)->where($column, $from)->delete();

            return;
        }
        try {
            DB::transaction(fn () => DB::table($table)->where($column, $from)->update([$column => $to]));
        } catch (UniqueConstraintViolationException) {
            $this->obstacles[] = __('accounts.merge.once', ['what' => $this->inWords($table)]);
        }
    }

    private function observers(int $from, int $to): void
    {
        foreach (ObservationGround::query()->whereJsonContains('observers', $from)->get() as $ground) {
            $ground->update(['observers' => array_values(array_unique(
                array_map(fn (int $id) => $id === $from ? $to : $id, $ground->observers),
            ))]);
        }
    }

    /**
     * @return list<array{string, string}> table and column of every foreign key to a table's id
     */
    private function pointingAt(string $table): array
    {
        static $found = [];

        return $found[$table] ??= array_map(
            fn (object $one) => explode('.', (string) current((array) $one)),
            DB::select(
                "SELECT CONCAT(table_name, '.', column_name) FROM information_schema.key_column_usage"
                .' WHERE table_schema = DATABASE() AND referenced_table_schema = DATABASE()'
                ." AND referenced_table_name = ? AND referenced_column_name = 'id' ORDER BY table_name, column_name",
                [$table],
            ),
        );
    }

    private function inWords(string $table): string
    {
        return Lang::has("accounts.merge.tables.{$table}")
            ? __("accounts.merge.tables.{$table}")
            : str_replace('_', ' ', $table);
    }
}
