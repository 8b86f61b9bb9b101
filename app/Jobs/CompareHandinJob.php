<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Screen\CompareHandin as Compare;
use App\Enums\ReportState;
use App\Enums\WebState;
use App\Events\ReportChanged;
use App\Models\Handin;
use App\Models\OverlapReport;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Throwable;

/**
 * Compares one hand-in with all it may share text with. May be run again at any time: it replaces what it found.
 */
final class CompareHandinJob implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use OneAtATime;
    use Queueable;

    public function __construct(public readonly int $handinId)
    {
    }

    public function handle(Compare $compare): void
    {
        $handin = Handin::query()->find($this->handinId);
        if ($handin === null) {
            return;
        }
        if ($compare($handin)) {
            self::dispatch($this->handinId);
        } elseif (
            OverlapReport::query()->where('handin_id', $this->handinId)->where('state', ReportState::Ready)
                ->where('web_state', WebState::Waiting)->exists()
        ) {
            SearchWebJob::dispatch($this->handinId);
        }
    }

    public function failed(?Throwable $e): void
    {
        OverlapReport::query()->where('handin_id', $this->handinId)->update([
            'state' => ReportState::Failed,
            'failure' => mb_substr($e?->getMessage() ?? 'The worker was stopped.', 0, 500),
        ]);
        ReportChanged::dispatch($this->handinId);
    }

    private function onlyOneFor(): int
    {
        return $this->handinId;
    }
}
