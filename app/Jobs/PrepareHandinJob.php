<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Collect\PrepareForMarkers;
use App\Models\Handin;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Throwable;

/**
 * Has made what markers get of a hand-in. May be run again at any time: it replaces what it made.
 */
final class PrepareHandinJob implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use OneAtATime;
    use Queueable;

    public function __construct(public readonly int $handinId)
    {
        // Mail and comparisons go first: nobody waits for this one.
        $this->onQueue('low');
    }

    public function handle(PrepareForMarkers $prepare): void
    {
        $handin = Handin::query()->find($this->handinId);
        $handin === null || $prepare($handin);
    }

    public function failed(?Throwable $e): void
    {
        Handin::query()->whereKey($this->handinId)
            ->update(['prepare_failure' => mb_substr($e?->getMessage() ?? 'The worker was stopped.', 0, 500)]);
    }

    private function onlyOneFor(): int
    {
        return $this->handinId;
    }
}
