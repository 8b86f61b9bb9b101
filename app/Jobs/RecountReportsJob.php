<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Screen\RecountReport;
use App\Models\OverlapReport;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/**
 * Works the figures of all reports of an assignment out anew, from what is kept: what counts has changed.
 */
final class RecountReportsJob implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 3;

    public int $timeout = 280;

    public function __construct(public readonly int $assignmentId)
    {
    }

    public function handle(RecountReport $recount): void
    {
        OverlapReport::query()->where('state', 'ready')
            ->whereHas('handin.script', fn ($script) => $script->where('assignment_id', $this->assignmentId))
            ->pluck('id')->each(fn (mixed $id) => $recount((int) $id));
    }
}
