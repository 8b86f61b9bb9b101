<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Allowance;
use App\Models\Assignment;
use App\Models\Extension;
use App\Models\Script;
use DateTimeZone;
use Illuminate\Support\Collection;
use YoungHarbor\Core\Marks\DueTime;

/**
 * When the work of each student is due, with the steps that led there: a fixed number of queries for any number.
 */
final class DueTimes
{
    /**
     * @param  Collection<int, Script>  $scripts  of this assignment
     * @return array<int, DueTime> by script id; nothing for an assignment without a due time
     */
    public function of(Assignment $assignment, Collection $scripts): array
    {
        if ($assignment->due_at === null) {
            return [];
        }
        $wanted = $scripts->concat($this->mates($assignment, $scripts));
        $students = $wanted->pluck('student_id');
        $few = $wanted->count() <= 500;
        // What held at the due time: given before it, and not ended by then.
        $allowances = Allowance::query()->where('module_id', $assignment->module_id)->where('created_at', '<=', $assignment->due_at)->where(fn ($query) => $query->whereNull('ended_at')->orWhere('ended_at', '>', $assignment->due_at->min(now())))->when($few, fn ($query) => $query->whereIn('student_id', $students))->orderBy('id')->get()->keyBy('student_id');
        $extensions = Extension::query()->where('assignment_id', $assignment->id)->whereNull('ended_at')->when($few, fn ($query) => $query->whereIn('student_id', $students))->orderBy('id')->get()->keyBy('student_id');
        $closed = $assignment->module->closedOn();
        $zone = new DateTimeZone(Clock::zone());
        $own = [];
        $latest = [];
        foreach ($wanted as $script) {
            $allowance = $allowances[$script->student_id] ?? null;
            $own[$script->id] = $due = DueTime::of(
                $assignment->due_at->toDateTimeImmutable(), $assignment->opens_at?->toDateTimeImmutable(), $assignment->closes_at?->toDateTimeImmutable(), $zone,
                $allowance->extra_days ?? 0, $allowance->extra_percent ?? 0, ($extensions[$script->student_id] ?? null)?->due_at->toDateTimeImmutable(), $closed,
            );
            if ($script->group_name !== null) {
                $latest[$script->group_name] = isset($latest[$script->group_name]) && $latest[$script->group_name]->due >= $due->due ? $latest[$script->group_name] : $due;
            }
        }

        return $scripts->mapWithKeys(fn (Script $script) => [$script->id => $script->group_name === null || ! $assignment->handin_by->isGroup() ? $own[$script->id] : $own[$script->id]->orOfGroup($latest[$script->group_name])])->all();
    }

    /**
     * The other members of their groups, when not everyone was asked for.
     *
     * @param  Collection<int, Script>  $scripts
     * @return Collection<int, Script>
     */
    private function mates(Assignment $assignment, Collection $scripts): Collection
    {
        $groups = $scripts->pluck('group_name')->filter()->unique();

        return $groups->isEmpty() || ! $assignment->handin_by->isGroup() ? collect()
            : Script::query()->where('assignment_id', $assignment->id)->whereIn('group_name', $groups)->whereNotIn('id', $scripts->pluck('id'))->get();
    }
}
