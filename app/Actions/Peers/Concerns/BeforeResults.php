<?php

declare(strict_types=1);

namespace App\Actions\Peers\Concerns;

use App\Exceptions\Refused;
use App\Models\PreparedResult;
use App\Models\Result;
use Illuminate\Support\Collection;

/**
 * What moves a mark is refused once a result of it is out or on its way.
 */
trait BeforeResults
{
    /**
     * @param  Collection<array-key, mixed>  $scripts  ids
     *
     * @throws Refused
     */
    private function beforeResults(Collection $scripts): void
    {
        if (Result::query()->whereIn('script_id', $scripts)->exists()
            || PreparedResult::query()->whereIn('script_id', $scripts)->exists()) {
            throw new Refused((string) __('contribution.results_out'));
        }
    }
}
