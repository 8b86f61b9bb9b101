<?php

declare(strict_types=1);

namespace App\Actions\ShareOut;

use App\Jobs\PrepareHandinJob;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\Script;
use App\Queries\ShareOut\NamesToCheck;

/**
 * Looks once more for names in what could not be looked through.
 */
final class LookThroughAgain
{
    /**
     * @return int how many hand-ins
     */
    public function __invoke(Assignment $assignment): int
    {
        $handins = NamesToCheck::of($assignment)->failed->map(fn (Script $script) => $script->current_handin_id)
            ->filter();
        Handin::query()->whereKey($handins)->update(['prepared_at' => null, 'prepare_failure' => null]);
        $handins->each(fn (int $id) => PrepareHandinJob::dispatch($id));

        return $handins->count();
    }
}
