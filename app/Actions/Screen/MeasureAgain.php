<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Jobs\MeasureWritingJob;
use App\Models\WritingReport;
use Illuminate\Support\Facades\DB;

/**
 * Has all hand-ins of an assignment measured once more.
 */
final class MeasureAgain
{
    public function __invoke(int $assignmentId): void
    {
        $handins = DB::table('scripts')->where('assignment_id', $assignmentId)->whereNotNull('current_handin_id')
            ->whereNull('lead_id')->pluck('current_handin_id');
        $there = WritingReport::query()->whereIn('handin_id', $handins)->pluck('handin_id');
        WritingReport::query()->insert(
            $handins->diff($there)
                ->map(fn (mixed $id) => ['handin_id' => $id, 'created_at' => now(), 'updated_at' => now()])->values()
                ->all()
        );
        WritingReport::query()->whereIn('handin_id', $handins)->update(['state' => 'waiting', 'reason' => null]);
        $handins->isEmpty() || MeasureWritingJob::dispatch($assignmentId)->afterCommit();
    }
}
