<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Screen\CompareDraft as Compare;
use App\Enums\ReportState;
use App\Models\DraftCheck;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Throwable;

/**
 * Compares a student's draft. One that fails is not counted among the checks used.
 */
final class CompareDraftJob implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 3;

    public int $timeout = 240;

    public function __construct(public readonly int $draftId)
    {
    }

    public function handle(Compare $compare): void
    {
        $draft = DraftCheck::query()->find($this->draftId);
        if ($draft !== null && $draft->files === null) {
            $compare($draft);
        }
    }

    public function failed(?Throwable $e): void
    {
        DraftCheck::query()->whereKey($this->draftId)->update(['state' => ReportState::Failed]);
    }
}
