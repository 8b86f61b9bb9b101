<?php

declare(strict_types=1);

namespace App\Actions\Observe;

use App\Actions\Observe\Concerns\ChangesObservers;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\ObservationGround;
use App\Models\Slot;
use App\Models\User;
use App\Observing\Slots;
use App\Observing\TellOfSlot;
use App\Wording\LocalTime;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Moves a slot by hand to another time in one of the stretches. It is observed by who observes there.
 */
final class MoveSlot
{
    use ChangesObservers;

    public function __construct(
        private readonly Slots $slots, private readonly TellOfSlot $tell, private readonly Logbook $logbook,
    ) {
    }

    /**
     * @throws Refused when it does not fit there, or what was recorded would lose its observer
     */
    public function __invoke(Slot $slot, ObservationGround $ground, Carbon $from, User $by): void
    {
        DB::transaction(function () use ($slot, $ground, $from, $by): void {
            // One at a time for the whole assignment: nobody takes a place that another is being moved to.
            Assignment::query()->lockForUpdate()->findOrFail($slot->assignment_id);
            $stored = Slot::query()->with('assignment.module', 'observers', 'script.student')->lockForUpdate()->findOrFail($slot->id);
            $others = Slot::query()->whereHas('script', fn ($script) => $script->whereNull('left_at'))
                ->where('assignment_id', $stored->assignment_id)->whereKeyNot($stored->id)->with('observers', 'script.student')
                ->lockForUpdate()->get();
            $to = $from->copy()->addMinutes($stored->minutes());
            $from->lt($ground->starts_at) || $to->gt($ground->ends_at) ? throw new Refused(__('observe.refused.outside'), 'at') : null;
            $observers = User::query()->whereKey($ground->observers)->get()->sortBy(
                fn (User $one) => array_search($one->id, $ground->observers, true),
            )->values();
            foreach ($observers as $observer) {
                $this->slots->isKept($stored, $observer) && throw new Refused(__('observe.refused.kept', ['name' => $observer->name]), 'at');
            }
            $former = self::observersOf($stored);
            $stored->fill(['room' => $ground->room, 'starts_at' => $from, 'ends_at' => $to]);
            $stored->setRelation('observers', $observers);
            foreach ($others as $other) {
                $other->toCore()->clashesWith($stored->toCore()) && throw new Refused(__('observe.refused.taken', [
                    'who' => $other->script->names(), 'at' => LocalTime::shown($other->starts_at), 'room' => $other->room,
                ]), 'at');
            }
            $stored->sequence += $stored->published_at === null ? 0 : 1;
            $stored->save();
            $this->observedBy($stored, $former, self::observersOf($stored));
            if ($stored->published_at !== null) {
                $this->tell->changed($stored->load('observers'));
                $this->logbook->write(
                    Entry::of(LogEvent::SlotMoved)->on($stored->script->student)->in($stored->assignment)->by($by),
                );
            }
        });
    }
}
