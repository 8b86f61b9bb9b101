<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Enums\ReportState;
use App\Jobs\CompareHandin;
use App\Logbook\Logbook;
use App\Models\Assignment;
use App\Models\OverlapReport;
use Illuminate\Support\Facades\DB;

/**
 * Compares an assignment's hand-ins again: all of them, or only those whose comparison failed.
 */
final class RerunScreening
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @return int how many were set waiting
     */
    public function __invoke(Assignment $assignment, bool $failedOnly): int
    {
        return DB::transaction(function () use ($assignment, $failedOnly): int {
            $handins = $assignment->scripts()->whereNotNull('current_handin_id')
                ->when($failedOnly, fn ($query) => $query->whereHas('currentHandin.report', fn ($report) => $report->where('state', ReportState::Failed)))
                ->pluck('current_handin_id');
            foreach ($handins as $id) {
                OverlapReport::query()->updateOrCreate(['handin_id' => $id], ['state' => ReportState::Waiting, 'failure' => null, 'compared' => 0]);
                CompareHandin::dispatch((int) $id)->afterCommit();
            }
            $this->logbook->write('compared hand-ins again', $assignment->title, ['hand-ins' => $handins->count()], null, $assignment);

            return $handins->count();
        });
    }
}
