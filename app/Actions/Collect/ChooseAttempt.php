<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Events\CountingAttemptChanged;
use App\Events\HandinRead;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Handin;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Lets another attempt count, as its student picks it: for a group, for all of it. Possible until markers have the
 * work.
 */
final class ChooseAttempt
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(Handin $handin, User $student): void
    {
        DB::transaction(function () use ($handin, $student): void {
            $script = $handin->script;
            $group = Script::query()
                ->whereIn(
                    'id', $script->assignment->handin_by->isGroup() ? $script->group()->pluck('id') : [$script->id],
                )
                ->with('assignment')->orderBy('id')->lockForUpdate()->get();
            throw_if(
                Script::areWithMarkers($group),
                new Refused('Your work is with its markers, so which attempt counts can no longer change.', 'attempt'),
            );
            throw_if(
                $group->contains(fn (Script $each) => ! $each->takesHandIns()),
                new Refused('This assignment is closed, so which attempt counts can no longer change.', 'attempt'),
            );
            throw_if(
                $handin->unreadable !== null,
                new Refused('That attempt could not be read, so it cannot count.', 'attempt'),
            );
            // What a group handed in together has the same sum and the same second for each of its members.
            $same = Handin::query()->whereIn('script_id', $group->modelKeys())->where('sha256', $handin->sha256)
                ->where('received_at', $handin->received_at)->where('handed_in_by', $handin->handed_in_by)
                ->orderBy('attempt')->get()->keyBy('script_id');
            foreach ($group as $each) {
                $attempt = $same->get($each->id);
                if ($attempt === null || $attempt->id === $each->current_handin_id) {
                    continue;
                }
                $each->letCount($attempt);
                $attempt->read_at === null || HandinRead::dispatch($attempt->setRelation('script', $each));
            }
            CountingAttemptChanged::dispatch(array_values($group->modelKeys()));
            $this->logbook->write(
                Entry::of(LogEvent::AttemptChosen)->on($script->assignment)->with(attempt: $handin->attempt)
                    ->by($student)
            );
        });
    }
}
