<?php

declare(strict_types=1);

namespace App\Listeners\Screen;

use App\Actions\Screen\AwaitMeasuring;
use App\Events\HandinRead;
use App\Jobs\CompareHandinJob;
use App\Jobs\PrepareHandinJob;
use App\Models\OverlapReport;

/**
 * Has what was read looked through for names, and what counts compared and measured. With one mark a group, one of its
 * scripts is looked at for all.
 */
final class BeginScreening
{
    public function __construct(private readonly AwaitMeasuring $measure)
    {
    }

    public function handle(HandinRead $event): void
    {
        $handin = $event->handin;
        $script = $handin->script;
        if ($script->lead_id !== null) {
            return;
        }
        $handin->prepared_at === null && PrepareHandinJob::dispatch($handin->id)->afterCommit();
        if ($script->current_handin_id === $handin->id) {
            OverlapReport::query()->firstOrCreate(['handin_id' => $handin->id]);
            CompareHandinJob::dispatch($handin->id)->afterCommit();
            ($this->measure)($script->assignment, $handin);
        }
    }
}
