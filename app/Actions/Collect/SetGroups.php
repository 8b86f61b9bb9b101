<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Enums\HandInBy;
use App\Exceptions\Refused;
use App\Logbook\Logbook;
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
    ) {
    }

    /**
     * @param  array<int, string>  $groups  group by student id; students not named are in none
     * @param  array<string, int|string>  $how  how they were made, for the logbook
     *
     * @throws Refused
     */
    public function __invoke(Assignment $assignment, array $groups, array $how): void
    {
        DB::transaction(function () use ($assignment, $groups, $how): void {
            $stored = Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
            if (! $stored->handin_by->isGroup()) {
                throw new Refused('Each student hands in alone here. Change that under Plan first.');
            }
            $scripts = Script::query()->where('assignment_id', $stored->id)->with('student:id,name')->orderBy('id')->lockForUpdate()->get();
            $moved = $scripts->filter(fn (Script $script) => $script->group_name !== ($groups[$script->student_id] ?? null));
            $fixed = $moved->filter(fn (Script $script) => $script->current_handin_id !== null || $this->hasHandedIn($scripts, $groups[$script->student_id] ?? null));
            if ($fixed->isNotEmpty()) {
                throw new Refused('Nothing was changed: '.$fixed->map(fn (Script $script) => $script->student->name)->implode(', ').' would leave or join a group that has handed in.');
            }
            foreach ($moved->groupBy(fn (Script $script) => $groups[$script->student_id] ?? '') as $group => $members) {
                Script::query()->whereIn('id', $members->pluck('id'))->update(['group_name' => $group === '' ? null : $group]);
            }
            self::lead($stored);
            ($this->setDueTimes)($stored);
            $this->logbook->write('set the groups', $stored->title, ['groups' => count(array_unique($groups)), 'students' => count($groups), ...$how], null, $stored);
        });
    }

    /** With one mark a group, one of its scripts is marked and the others follow it. */
    public static function lead(Assignment $assignment): void
    {
        $leads = [];
        $follow = [];
        foreach (Script::query()->where('assignment_id', $assignment->id)->orderBy('id')->get(['id', 'group_name', 'lead_id']) as $script) {
            $lead = $assignment->handin_by === HandInBy::GroupOneMark && $script->group_name !== null ? ($leads[$script->group_name] ??= $script->id) : $script->id;
            $leadId = $lead === $script->id ? null : $lead;
            if ($script->lead_id !== $leadId) {
                $follow[$leadId ?? 0][] = $script->id;
            }
        }
        foreach ($follow as $lead => $ids) {
            Script::query()->whereIn('id', $ids)->update(['lead_id' => $lead === 0 ? null : $lead]);
        }
    }

    /**
     * @param  Collection<int, Script>  $scripts
     */
    private function hasHandedIn(Collection $scripts, ?string $group): bool
    {
        return $group !== null && $scripts->contains(fn (Script $script) => $script->group_name === $group && $script->current_handin_id !== null);
    }
}
