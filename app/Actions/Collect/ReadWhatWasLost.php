<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Jobs\ReadHandinJob;
use App\Models\Handin;

/**
 * Asks again for what has been unread for long.
 */
final class ReadWhatWasLost
{
    /** Minutes after which something unread is asked for again: a worker, or its memory of the job, was lost. */
    private const LOST = 15;

    public function __invoke(): int
    {
        $lost = Handin::query()->whereNull('read_at')->where('created_at', '<', now()->subMinutes(self::LOST))
            ->with('script:id,lead_id')->get()
            ->groupBy(
                fn (Handin $handin) => "{$handin->handed_in_by} {$handin->sha256} {$handin->received_at->getTimestamp()}"
            );
        foreach ($lost as $together) {
            ReadHandinJob::dispatch(array_values($together->modelKeys()), $together->firstOrFail()->handed_in_by);
        }

        return $lost->flatten()->count();
    }
}
