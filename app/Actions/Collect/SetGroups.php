<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Script;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Puts the students of an assignment into groups. Whoever has handed in stays in the group the work came from.
 */
final class SetGroups
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly SetDueTimes $setDueTimes,
        private readonly ChooseLeadScripts $leads,
    ) {
    }

    /**
     * @param  array<int, string>  $groups  group by student id; students not named are in none
     * @param  string  $how  how they were made: list, roster or random
     * @param  int|null  $seed  of random ones, and how many were asked for in each
     *
     * @throws Refused
     */
    public function __invoke(
        Assignment $assignment, array $groups, string $how, ?int $seed = null, ?int $size = null,
    ): void {
        DB::transaction(function () use ($assignment, $groups, $how, $seed, $size): void {
            $stored = Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
            if (! $stored->usesGroups()) {
                throw new Refused('Each student hands in alone here. Change that under Plan first.');
            }
            $scripts = Script::query()->where('assignment_id', $stored->id)->with('student:id,name')->orderBy('id')
                ->lockForUpdate()->get();
            $moved = $scripts->filter(
                fn (Script $script) => $script->group_name !== ($groups[$script->student_id] ?? null)
            );
            $fixed = $moved->filter(
                fn (Script $script) => $script->current_handin_id !== null
                || $this->hasHandedIn($scripts, $groups[$script->student_id] ?? null)
            );
            if ($fixed->isNotEmpty()) {
                throw new Refused(
                    'Nothing was changed: '.$fixed->map(fn (Script $script) => $script->student->name)->implode(', ')
                        .' would leave or join a group that has handed in.'
                );
            }
            foreach ($moved->groupBy(fn (Script $script) => $groups[$script->student_id] ?? '') as $group => $members) {
                Script::query()->whereIn('id', $members->pluck('id'))
                    ->update(['group_name' => $group === '' ? null : $group]);
            }
            ($this->leads)($stored);
            ($this->setDueTimes)($stored);
            $this->logbook->write(
                Entry::of(LogEvent::GroupsSet)->on($stored)
                    ->with(
                        groups: count(array_unique($groups)), students: count($groups), form: $how, seed: $seed,
                        size: $size,
                    )
            );
        });
    }

    /**
     * @param  Collection<int, Script>  $scripts
     */
    private function hasHandedIn(Collection $scripts, ?string $group): bool
    {
        return $group !== null
            && $scripts->contains(
                fn (Script $script) => $script->group_name === $group && $script->current_handin_id !== null
            );
    }
}
