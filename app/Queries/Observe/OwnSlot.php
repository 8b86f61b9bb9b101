<?php

declare(strict_types=1);

namespace App\Queries\Observe;

use App\Models\Script;
use App\Models\Slot;
use App\Models\SlotSwap;
use Illuminate\Support\Collection;

/**
 * When and where someone is observed, what they asked to swap or are asked, and whom they could ask.
 */
final readonly class OwnSlot
{
    /**
     * @param  Collection<int, Slot>  $others  that could be asked for
     */
    private function __construct(
        public ?Slot $slot, public ?SlotSwap $mine, public ?SlotSwap $asked, public Collection $others,
    ) {
    }

    public static function of(Script $script): self
    {
        $slot = Slot::query()->where('script_id', $script->leadScript()->id)->whereNotNull('published_at')
            ->with('observers')->first();
        if ($slot === null) {
            return new self(null, null, null, new Collection);
        }
        $mine = SlotSwap::query()->where('slot_id', $slot->id)
            ->whereIn('state', [SlotSwap::ASKED, SlotSwap::AGREED])->first();
        $asks = $script->assignment->observing->swaps && $slot->starts_at->isFuture() && $mine === null;

        return new self(
            $slot, $mine,
            SlotSwap::query()->where('other_id', $slot->id)->where('state', SlotSwap::ASKED)->with('slot')->first(),
            $asks ? $script->assignment->slots()->whereNotNull('published_at')->where('id', '<>', $slot->id)
                ->where('starts_at', '>', now())->get()->toBase()
                ->filter(fn (Slot $one) => $one->minutes() === $slot->minutes())->values() : new Collection,
        );
    }
}
