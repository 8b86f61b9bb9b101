<?php

declare(strict_types=1);

namespace App\Actions\Observe;

use App\Exceptions\Refused;
use App\Models\ObservationGround;
use App\Models\Slot;
use Illuminate\Support\Facades\DB;

/**
 * Takes a stretch of time away in which nobody has a slot they know of; drafts in it go.
 */
final class RemoveGround
{
    /**
     * @throws Refused
     */
    public function __invoke(ObservationGround $ground): void
    {
        DB::transaction(function () use ($ground): void {
            $in = Slot::query()->where('assignment_id', $ground->assignment_id)->where('room', $ground->room)
                ->where('starts_at', '>=', $ground->starts_at)->where('ends_at', '<=', $ground->ends_at);
            (clone $in)->whereNotNull('published_at')->exists() && throw new Refused(__('observe.refused.ground_known'));
            $in->delete();
            $ground->delete();
        });
    }
}
