<?php

declare(strict_types=1);

namespace App\Actions\Moderate;

use App\Actions\Mark\StoreStandings;
use App\Actions\Moderate\Concerns\LocksOpenScript;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Mark;
use App\Models\Script;
use App\Models\User;
use App\Queries\ShareOut\Planning;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SecondView;

/**
 * Gives a script whose markers do not agree to a third, whom the planner chooses: never one of the two, never one with
 * a conflict of interest, of the others the one with the fewest third marks.
 */
final class AskForThird
{
    use LocksOpenScript;

    public function __construct(
        private readonly Planning $planning,
        private readonly Logbook $logbook,
        private readonly StoreStandings $standings,
    ) {
    }

    /**
     * @param  SecondView  $view  blind, or open: seeing both marks
     * @param  User|null  $by  null when the date has passed and the assignment says so
     *
     * @throws Refused when nobody can be found, or a third marker has had it
     */
    public function __invoke(Script $script, SecondView $view, ?User $by, string $reason = ''): Mark
    {
        return DB::transaction(function () use ($script, $view, $by, $reason): Mark {
            $assignment = Assignment::query()->lockForUpdate()->findOrFail($script->assignment_id);
            $stored = $this->lockOpen($script)->setRelation('assignment', $assignment);
            $stored->mark(Seat::Third) === null || throw new Refused(
                'A third marker has marked this script already. It is for people to settle now.',
            );
            $marker = $this->planning->third($assignment, $stored) ?? throw new Refused(
                'Nobody can be third marker of this script: everyone who marks here is one of its markers, has a conflict of interest or a share of 0. Nothing was changed. Add a marker under Share out, or let a coordinator decide.',
            );
            $stored->proposals()->where('state', 'open')->update(['state' => 'replaced']);
            $mark = Mark::give($stored, Seat::Third, $marker->id, $assignment, $view);
            $entry = Entry::of(LogEvent::ThirdAsked)->on($stored)->with(view: $view)
                ->because($reason === '' ? null : $reason);
            $this->logbook->write($by === null ? $entry : $entry->by($by));
            ($this->standings)([$stored->id]);

            return $mark;
        });
    }
}
