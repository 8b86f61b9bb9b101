<?php

declare(strict_types=1);

namespace App\Actions\FirstFeedback;

use App\Models\FirstFeedback;
use Illuminate\Support\Facades\DB;

/**
 * A student says which remarks they used, and whether staff may read them.
 */
final class SayWhatWasUsed
{
    /**
     * @param  list<int>  $used  places of the remarks
     */
    public function __invoke(FirstFeedback $feedback, array $used, bool $share): void
    {
        DB::transaction(function () use ($feedback, $used, $share): void {
            $stored = FirstFeedback::query()->lockForUpdate()->findOrFail($feedback->id);
            $there = array_keys($stored->remarks ?? []);
            $stored->update([
                'used' => array_values(array_intersect($there, $used)),
                'shared_at' => $share ? ($stored->shared_at ?? now()) : null,
            ]);
        });
    }
}
