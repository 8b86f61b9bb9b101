<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Models\OverlapReport;
use App\Screening\ReportFigures;
use Illuminate\Support\Facades\DB;

/**
 * Works the figures of a report out anew from what is kept: nothing is compared again.
 */
final class RecountReport
{
    public function __invoke(int $reportId): void
    {
        DB::transaction(function () use ($reportId): void {
            $report = OverlapReport::query()->lockForUpdate()->find($reportId);
            $report?->update(ReportFigures::columns(ReportFigures::of($report)));
        });
    }
}
