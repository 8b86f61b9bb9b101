<?php

declare(strict_types=1);

namespace App\Actions\Screen\Concerns;

use App\Enums\ReportState;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Models\OverlapReport;
use App\Screening\ReportFigures;

/**
 * Works the figures of a report out anew, with a line in the logbook that has both shares. Whoever uses it has the
 * logbook.
 */
trait FiguresReport
{
    private function locked(OverlapReport $report): OverlapReport
    {
        $stored = OverlapReport::query()->lockForUpdate()->findOrFail($report->id);

        return $stored->state === ReportState::Ready
            ? $stored
            : throw new Refused('This script is being compared again. Wait until that is done; nothing was changed.');
    }

    private function figured(OverlapReport $report, Entry $entry): void
    {
        $report->unsetRelation('choices');
        $before = $report->share;
        $report->update(ReportFigures::columns(ReportFigures::of($report)));
        $script = $report->handin->script;
        $this->logbook->write($entry->on($script)->with(share_before: $before, share_now: $report->share));
    }
}
