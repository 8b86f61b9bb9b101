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
use Illuminate\Queue\Middleware\WithoutOverlapping;
use Throwable;

/**
 * Looks for one hand-in's words in the open web, after it was compared with what is here.
 */
final class SearchWeb implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 2;

    public int $timeout = 280;

    public function __construct(public readonly int $handinId)
    {
    }

    /**
     * @return list<object>
     */
    public function middleware(): array
    {
        return [(new WithoutOverlapping("web-{$this->handinId}"))->releaseAfter(5)->expireAfter(320)];
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
        OverlapReport::query()->where('handin_id', $this->handinId)->update(['web_state' => WebState::Failed, 'web_failure' => mb_substr($e?->getMessage() ?? 'The worker was stopped.', 0, 300)]);
    }
}
