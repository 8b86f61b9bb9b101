<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Screen\WorkOutBaseline as WorkOut;
use App\Models\WritingBaseline;
use DateTimeInterface;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Throwable;

/**
 * Works out a baseline after its texts changed; of several changes only the last is worked out.
 */
final class WorkOutBaselineJob implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use OneAtATime;
    use Queueable;

    public int $maxExceptions = 3;

    public function __construct(public readonly int $baselineId)
    {
    }

    /** Waiting for another that runs is no failure, however often it is looked for. */
    public function retryUntil(): DateTimeInterface
    {
        return now()->addHours(2);
    }

    public function handle(WorkOut $workOut): void
    {
        $baseline = WritingBaseline::query()->find($this->baselineId);
        if ($baseline !== null && ! $baseline->isWorkedOut()) {
            $workOut($baseline);
        }
    }

    public function failed(?Throwable $e): void
    {
        WritingBaseline::query()->whereKey($this->baselineId)
            ->update(['failure' => mb_substr($e?->getMessage() ?? 'The worker was stopped.', 0, 500)]);
    }

    private function onlyOneFor(): int
    {
        return $this->baselineId;
    }
}
