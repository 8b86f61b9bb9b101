<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Enums\WritingState;
use App\Jobs\MeasureWritingJob;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\WritingReport;

/**
 * Has a hand-in measured, where its assignment measures writing.
 */
final class AwaitMeasuring
{
    public function __invoke(Assignment $assignment, Handin $handin): void
    {
        if ($assignment->writing_baseline_id !== null) {
            WritingReport::query()->updateOrCreate(
                ['handin_id' => $handin->id], ['state' => WritingState::Waiting, 'reason' => null],
            );
            MeasureWritingJob::dispatch($assignment->id)->afterCommit();
        }
    }
}
