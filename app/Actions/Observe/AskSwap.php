<?php

declare(strict_types=1);

namespace App\Actions\Observe;

use App\Exceptions\Refused;
use App\Models\Slot;
use App\Models\SlotSwap;
use App\Models\User;
use App\Observing\TellOfSlot;
use Illuminate\Support\Facades\DB;

/**
 * A student asks whoever has another slot to swap with them.
 */
final class AskSwap
{
    public function __construct(private readonly TellOfSlot $tell)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(Slot $slot, Slot $other, User $by, string $words): SlotSwap
    {
        return DB::transaction(function () use ($slot, $other, $by, $words): SlotSwap {
            // In one order, whoever asks whom: two who ask each other at once do not wait for each other for ever.
            $both = Slot::query()->whereKey([$slot->id, $other->id])->orderBy('id')->lockForUpdate()->get();
            [$own, $theirs] = [$both->findOrFail($slot->id), $both->findOrFail($other->id)];
            match (true) {
                ! $own->assignment->observing->swaps => throw new Refused(__('observe.refused.no_swaps')),
                $own->assignment_id !== $theirs->assignment_id, $own->is($theirs),
                $theirs->published_at === null => throw new Refused(__('observe.refused.no_such_slot')),
                $own->starts_at->isPast(), $theirs->starts_at->isPast() => throw new Refused(__('observe.refused.past')),
                $own->minutes() !== $theirs->minutes() => throw new Refused(__('observe.refused.other_length')),
                SlotSwap::query()->where('slot_id', $own->id)->whereIn('state', [SlotSwap::ASKED, SlotSwap::AGREED])
                    ->exists() => throw new Refused(__('observe.refused.asked_before')),
                default => null,
            };
            $swap = SlotSwap::query()->create(['slot_id' => $own->id, 'other_id' => $theirs->id, 'asked_by' => $by->id, 'words' => $words]);
            $this->tell->asked($swap->refresh());

            return $swap;
        });
    }
}
