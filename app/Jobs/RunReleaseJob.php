<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Release\RunRelease;
use App\Models\Release;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/**
 * Lets a release go out, before whatever else waits. May be run again at any time, and beside another: who comes second
 * finds it taken.
 */
final class RunReleaseJob implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 3;

    public int $timeout = 300;

    public function __construct(public readonly int $releaseId)
    {
        $this->onQueue('soon');
    }

    public function handle(RunRelease $run): void
    {
        $run(Release::query()->findOrFail($this->releaseId));
    }
}
