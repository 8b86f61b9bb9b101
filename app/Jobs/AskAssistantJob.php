<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\FirstFeedback\TakeRemarks;
use App\Enums\AskedState;
use App\Models\FirstFeedback;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/**
 * Asks the outside assistant about one draft.
 */
final class AskAssistantJob implements ShouldQueue
{
    use Queueable;

    public int $tries = 2;

    public int $timeout = 60;

    public function __construct(private readonly int $id)
    {
    }

    public function handle(TakeRemarks $take): void
    {
        $asked = FirstFeedback::query()->with('script.assignment.rubricVersion', 'draft')->find($this->id);
        $asked === null || $take($asked);
    }

    public function failed(?Throwable $e): void
    {
        FirstFeedback::query()->whereKey($this->id)->where('state', AskedState::Asked)
            ->update(['state' => AskedState::Failed, 'failure' => (string) __('first-feedback.no_answer')]);
    }
}
