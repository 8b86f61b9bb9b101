<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Screen\SearchWeb as Search;
use App\Enums\WebState;
use App\Models\OverlapReport;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Throwable;

/**
 * Looks for one hand-in's words in the open web, after it was compared with what is here.
 */
final class SearchWebJob implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use OneAtATime;
    use Queueable;

    public function __construct(public readonly int $handinId)
    {
    }

    public function handle(Search $search): void
    {
        $report = OverlapReport::query()->where('handin_id', $this->handinId)->first();
        if ($report !== null) {
            $search($report);
        }
    }

    public function failed(?Throwable $e): void
    {
        OverlapReport::query()->where('handin_id', $this->handinId)
            ->update(
                [
                    'web_state' => WebState::Failed,
                    'web_failure' => mb_substr($e?->getMessage() ?? 'The worker was stopped.', 0, 300),
                ]
            );
    }

    private function onlyOneFor(): int
    {
        return $this->handinId;
    }
}
