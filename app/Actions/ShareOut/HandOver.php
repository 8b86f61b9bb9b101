<?php

declare(strict_types=1);

namespace App\Actions\ShareOut;

use App\Actions\Mark\StoreStandings;
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

/**
 * Gives a script that someone has begun and cannot finish to another marker, who begins anew. What was begun is kept as
 * it was and counts for nothing; no plan does this by itself.
 */
final class HandOver
{
    public function __construct(
        private readonly Planning $planning,
        private readonly Logbook $logbook,
        private readonly StoreStandings $standings,
    ) {
    }

    /**
     * @throws Refused
     */
    public function __invoke(Assignment $assignment, string $code, Seat $seat, User $to, string $reason, User $by): void
    {
        DB::transaction(function () use ($assignment, $code, $seat, $to, $reason, $by): void {
            Assignment::query()->lockForUpdate()->findOrFail($assignment->id); // always before its scripts
            $script = Script::query()->where('assignment_id', $assignment->id)->where('code', $code)->lockForUpdate()
                ->first() ?? throw new Refused("There is no script {$code} here. Nothing was changed.");
            $mark = $script->mark($seat);
            throw_if(
                $mark === null,
                new Refused("The {$seat->value} mark of {$code} is with nobody. Work out a plan to give it out."),
            );
            // No plan holds third marks, so one that is not begun is handed over as well.
            throw_if(
                $mark->begun_at === null && $seat !== Seat::Third,
                new Refused("The {$seat->value} mark of {$code} is not begun: a plan moves it."),
            );
            throw_if(
                $mark->isDone(),
                new Refused(
                    "The {$seat->value} mark of {$code} is done. Its marker can open it again while moderation has not begun."
                ),
            );
            throw_if(
                $script->marks->contains('marker_id', $to->id),
                new Refused("{$to->name} marks {$code} already, and nobody marks a script twice. Nothing was changed."),
            );
            throw_if(
                $this->planning->isKeptFrom($assignment, $code, $to->public_id),
                new Refused("A rule of this module keeps {$code} from {$to->name}. Nothing was changed."),
            );
            throw_if(
                Mark::query()->where('script_id', $script->id)->where('marker_id', $mark->marker_id)
                    ->where('seat', $seat)->whereNotNull('handed_over_at')->exists(),
                new Refused("{$code} has been handed over from the same marker before. Nothing was changed."),
            );
            $mark->begun_at === null ? $mark->delete() : $mark->forceFill(
                [
                    'handed_over_at' => now(), 'put_away_at' => now(), 'counts' => false,
                    'lock_version' => $mark->lock_version + 1,
                ]
            )->save();
            Mark::give($script, $seat, $to->id, $assignment, $mark->view);
            ($this->standings)([$script->id]);
            $this->logbook->write(
                Entry::of(LogEvent::MarkHandedOver)->on($script)->with(seat: $seat, from: $mark->marker, to: $to)
                    ->because($reason)->by($by)
            );
        });
    }
}
