<?php

declare(strict_types=1);

namespace App\Actions\Observe;

use App\Actions\Observe\Concerns\ChangesObservers;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Mark;
use App\Models\Slot;
use App\Models\SlotSwap;
use App\Models\User;
use App\Observing\Slots;
use App\Observing\TellOfSlot;
use Illuminate\Support\Facades\DB;

/**
 * A coordinator lets two students swap their slots, or does not. Each is observed by who observes there.
 */
final class DecideSwap
{
    use ChangesObservers;

    public function __construct(
        private readonly Slots $slots, private readonly TellOfSlot $tell, private readonly Logbook $logbook,
    ) {
    }

    /**
     * @throws Refused when one would be observed by someone they are kept from, or observing has begun
     */
    public function __invoke(SlotSwap $swap, bool $approves, User $by): void
    {
        DB::transaction(function () use ($swap, $approves, $by): void {
            Assignment::query()->lockForUpdate()->findOrFail($swap->slot->assignment_id);
            $stored = SlotSwap::query()->lockForUpdate()->findOrFail($swap->id);
            in_array($stored->state, [SlotSwap::ASKED, SlotSwap::AGREED], true) || throw new Refused(__('observe.refused.answered'));
            if (! $approves) {
                $stored->update(['state' => SlotSwap::REFUSED]);
                $this->tell->refused($stored);

                return;
            }
            $stored->state === SlotSwap::AGREED || throw new Refused(__('observe.refused.not_agreed'));
            $slots = Slot::query()->whereKey([$stored->slot_id, $stored->other_id])->with('assignment.module', 'observers', 'script.student')
                ->orderBy('id')->lockForUpdate()->get();
            [$one, $other] = [$slots->firstOrFail(), $slots->last() ?? $slots->firstOrFail()];
            Mark::counting()->whereIn('script_id', [$one->script_id, $other->script_id])->whereNotNull('begun_at')->exists()
                && throw new Refused(__('observe.refused.begun'));
            foreach ([[$one, $other], [$other, $one]] as [$of, $at]) {
                foreach ($at->observers as $observer) {
                    $this->slots->isKept($of, $observer) && throw new Refused(__('observe.refused.kept', ['name' => $observer->name]));
                }
            }
            $parked = $one->only(['room', 'starts_at', 'ends_at']);
            $places = [self::observersOf($one), self::observersOf($other)];
            $one->update([...$other->only(['room', 'starts_at', 'ends_at']), 'sequence' => $one->sequence + 1]);
            $other->update([...$parked, 'sequence' => $other->sequence + 1]);
            $this->observedBy($one, $places[0], $places[1]);
            $this->observedBy($other, $places[1], $places[0]);
            $stored->update(['state' => SlotSwap::APPROVED]);
            SlotSwap::query()->whereIn('state', [SlotSwap::ASKED, SlotSwap::AGREED])
                ->where(fn ($open) => $open->whereIn('slot_id', $slots->modelKeys())->orWhereIn('other_id', $slots->modelKeys()))
                ->update(['state' => SlotSwap::REFUSED]);
            $this->tell->changed($one->load('observers'));
            $this->tell->changed($other->load('observers'));
            $this->logbook->write(Entry::of(LogEvent::SlotsSwapped)->on($one->assignment)->by($by));
        });
    }
}
