<?php

declare(strict_types=1);

namespace App\Actions\ShareOut;

use App\Models\AllocationPlan;

/**
 * Drops a draft of a plan. One that was given out stays.
 */
final class DropPlan
{
    public function __invoke(AllocationPlan $plan): void
    {
        AllocationPlan::query()->whereKey($plan->id)->where('state', 'draft')->update(['state' => 'dropped']);
    }
}
