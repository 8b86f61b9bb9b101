<?php

declare(strict_types=1);

namespace App\Actions\Observe;

use App\Actions\Mark\StoreStandings;
use App\Events\CountingAttemptChanged;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Mark;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Observing\Course;

/**
 * Takes those who did not come as having handed in nothing, with the rules for that. What observers recorded stays.
 */
final class TakeNoShows
{
    public function __construct(private readonly Logbook $logbook, private readonly StoreStandings $standings)
    {
    }

    /**
     * @return int how many
     *
     * @throws Refused when there is none
     */
    public function __invoke(Assignment $assignment, User $by): int
    {
        return DB::transaction(function () use ($assignment, $by): int {
            $scripts = Script::query()->where('assignment_id', $assignment->id)->whereNotNull('current_handin_id')
                ->whereHas('slot', fn ($slot) => $slot->where('course', Course::NoShow->value))
                ->whereDoesntHave('marks', fn ($mark) => $mark->whereNotNull('done_at'))->lockForUpdate()->get();
            $scripts->isNotEmpty() || throw new Refused(__('observe.refused.no_no_shows'));
            foreach ($scripts as $script) {
                Mark::counting()->where('script_id', $script->id)->update(['counts' => false, 'put_away_at' => now()]);
                $script->update(['current_handin_id' => null, 'received_at' => null, 'late' => false]);
            }
            CountingAttemptChanged::dispatch(array_values($scripts->modelKeys()));
            ($this->standings)($scripts->modelKeys());
            $this->logbook->write(
                Entry::of(LogEvent::NoShowsTaken)->on($assignment)->with(students: $scripts->count())->by($by),
            );

            return $scripts->count();
        });
    }
}
