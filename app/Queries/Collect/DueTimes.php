<?php

declare(strict_types=1);

namespace App\Queries\Collect;

use App\Models\Allowance;
use App\Models\Assignment;
use App\Models\Extension;
use App\Models\Script;
use App\Wording\LocalTime;
use DateTimeZone;
use Illuminate\Support\Collection;
use YoungHarbor\Core\Marks\DueTime;

/**
 * When the work of each student is due, with the steps that led there: three queries for any number of scripts.
 */
final class DueTimes
{
    /**
     * @param  Collection<int, Script>  $scripts  with their assignments, of any number of these
     * @return array<int, DueTime> by script id; nothing for an assignment without a due time
     */
    public function of(Collection $scripts): array
    {
        $assignments = $scripts->map(fn (Script $script) => $script->assignment)->keyBy('id');
        $wanted = $scripts->concat($this->mates($scripts, $assignments));
        $students = $wanted->pluck('student_id')->unique();
        $only = $students->count() <= 500 ? $students : null;
        $allowances = Allowance::query()->whereIn('module_id', $assignments->pluck('module_id')->unique())
            ->when($only, fn ($query) => $query->whereIn('student_id', $only))->orderBy('id')->get()
            ->groupBy('student_id');
        $extensions = Extension::query()->whereIn('assignment_id', $assignments->keys())->whereNull('ended_at')
            ->when($only, fn ($query) => $query->whereIn('student_id', $only))->orderBy('id')->get()
            ->keyBy(fn (Extension $extension) => "{$extension->assignment_id}|{$extension->student_id}");
        $own = $latest = [];
        foreach ($wanted as $script) {
            $assignment = $assignments->get($script->assignment_id);
            if ($assignment?->due_at === null) {
                continue;
            }
            $own[$script->id] = $due = $this->one(
                $assignment, $this->holding($assignment, $allowances->get($script->student_id)),
                $extensions->get("{$assignment->id}|{$script->student_id}"),
            );
            $group = "{$assignment->id}|{$script->group_name}";
            $latest[$group] = isset($latest[$group]) && $latest[$group]->due >= $due->due ? $latest[$group] : $due;
        }
        $times = [];
        foreach ($scripts as $script) {
            if (isset($own[$script->id])) {
                $together = $script->group_name !== null
                    && $assignments->get($script->assignment_id)?->handin_by->isGroup() === true;
                $times[$script->id] = $together
                    ? $own[$script->id]->orOfGroup($latest["{$script->assignment_id}|{$script->group_name}"])
                    : $own[$script->id];
            }
        }

        return $times;
    }

    private function one(Assignment $assignment, ?Allowance $allowance, ?Extension $extension): DueTime
    {
        assert($assignment->due_at !== null);

        return DueTime::of(
            $assignment->due_at->toDateTimeImmutable(), $assignment->opens_at?->toDateTimeImmutable(),
            $assignment->closes_at?->toDateTimeImmutable(), new DateTimeZone(LocalTime::zone()),
            $allowance->extra_days ?? 0, $allowance->extra_percent ?? 0, $extension?->due_at->toDateTimeImmutable(),
            $assignment->module->closedOn(),
        );
    }

    /**
     * @param  Collection<int, Allowance>|null  $allowances  of one student, in the order they were given
     */
    private function holding(Assignment $assignment, ?Collection $allowances): ?Allowance
    {
        assert($assignment->due_at !== null);
        $due = $assignment->due_at->toDateTimeImmutable();

        return $allowances?->last(fn (Allowance $allowance) => $allowance->module_id === $assignment->module_id
            && DueTime::holds(
                $allowance->created_at->toDateTimeImmutable(), $allowance->ended_at?->toDateTimeImmutable(), $due,
                now()->toDateTimeImmutable(),
            ));
    }

    /**
     * The other members of their groups, when not everyone was asked for.
     *
     * @param  Collection<int, Script>  $scripts
     * @param  Collection<int, Assignment>  $assignments
     * @return Collection<int, Script>
     */
    private function mates(Collection $scripts, Collection $assignments): Collection
    {
        $grouped = $scripts->filter(
            fn (Script $script) => $script->group_name !== null
            && $assignments->get($script->assignment_id)?->handin_by->isGroup() === true
        );

        return $grouped->isEmpty()
            ? collect()
            : Script::query()->whereIn('assignment_id', $grouped->pluck('assignment_id')->unique())
                ->whereIn(
                    'group_name', $grouped->pluck('group_name')->unique(),
                )->whereNotIn('id', $scripts->pluck('id'))
                ->get();
    }
}
