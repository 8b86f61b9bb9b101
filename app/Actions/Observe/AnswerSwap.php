<?php

declare(strict_types=1);

namespace App\Actions\Observe;

use App\Exceptions\Refused;
use App\Models\SlotSwap;
use App\Observing\TellOfSlot;
use Illuminate\Support\Facades\DB;

/**
 * Whoever was asked agrees to swap slots, or does not. A coordinator has the last word.
 */
final class AnswerSwap
{
    public function __construct(private readonly TellOfSlot $tell)
    {
    }

    /**
     * @throws Refused when it was answered before
     */
    public function __invoke(SlotSwap $swap, bool $agrees): void
    {
        DB::transaction(function () use ($swap, $agrees): void {
            $stored = SlotSwap::query()->lockForUpdate()->findOrFail($swap->id);
            $stored->state === SlotSwap::ASKED || throw new Refused(__('observe.refused.answered'));
            $stored->update(['state' => $agrees ? SlotSwap::AGREED : SlotSwap::REFUSED]);
            $agrees || $this->tell->refused($stored);
        });
    }
}
