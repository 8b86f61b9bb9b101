<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Screen\MeasureWriting as Measure;
use App\Enums\WritingState;
use App\Models\Assignment;
use App\Models\WritingReport;
use DateTimeInterface;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Throwable;

/**
 * Measures what waits in an assignment, a few at a time, until nothing does. The baseline is read once for all of them.
 */
final class MeasureWritingJob implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use OneAtATime;
    use Queueable;

    public int $maxExceptions = 3;

    public function __construct(public readonly int $assignmentId)
    {
    }

    /** Waiting for another that runs is no failure, however often it is looked for. */
    public function retryUntil(): DateTimeInterface
    {
        return now()->addHours(2);
    }

    public function handle(Measure $measure): void
    {
        $assignment = Assignment::query()->find($this->assignmentId);
        if ($assignment !== null && $measure($assignment)) {
            self::dispatch($this->assignmentId);
        }
    }

    public function failed(?Throwable $e): void
    {
        WritingReport::query()->where('state', WritingState::Waiting)
            ->whereHas('handin.script', fn ($script) => $script->where('assignment_id', $this->assignmentId))
            ->update(
                [
                    'state' => WritingState::Failed,
                    'reason' => mb_substr($e?->getMessage() ?? 'The worker was stopped.', 0, 500),
                ]
            );
    }

    private function onlyOneFor(): int
    {
        return $this->assignmentId;
    }
}
