<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\ClosureDay;
use App\Models\Module;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Sets the days on which the institution is closed, for the due times and the lateness of a module.
 */
final class SaveClosureDays
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly SetDueTimes $setDueTimes,
    ) {
    }

    /**
     * @param  array<string, string>  $days  names by date as Y-m-d
     */
    public function __invoke(Module $module, array $days, User $by): void
    {
        DB::transaction(function () use ($module, $days, $by): void {
            Module::query()->lockForUpdate()->findOrFail($module->id);
            ClosureDay::query()->where('module_id', $module->id)->delete();
            ClosureDay::query()->insert(
                array_map(
                    fn (string $day, string $name) => ['module_id' => $module->id, 'day' => $day, 'name' => $name],
                    array_keys($days), $days,
                )
            );
            $this->logbook->write(
                Entry::of(LogEvent::ClosureDaysSet)->on($module)->with(days: array_keys($days))->by($by)
            );
            Assignment::query()->where('module_id', $module->id)->whereNotNull('due_at')->whereNotNull('published_at')
                ->with('module.closureDays')->get()
                ->each(fn (Assignment $assignment) => ($this->setDueTimes)($assignment));
        });
    }
}
