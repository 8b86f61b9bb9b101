<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Screen\AskDetector as Ask;
use App\Enums\WebState;
use App\Models\WritingReport;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/**
 * Asks the outside detector about one hand-in, once.
 */
final class AskDetectorJob implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 2;

    public int $timeout = 120;

    public function __construct(public readonly int $reportId)
    {
    }

    public function handle(Ask $ask): void
    {
        $report = WritingReport::query()->where('detector_state', WebState::Waiting)->find($this->reportId);
        $report === null || $ask($report);
    }

    public function failed(): void
    {
        WritingReport::query()->whereKey($this->reportId)->where('detector_state', WebState::Waiting)
            ->update(['detector_state' => WebState::Failed, 'detector_failure' => 'The worker was stopped.']);
    }
}
