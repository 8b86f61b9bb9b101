<?php

declare(strict_types=1);

namespace App\Listeners\Screen;

use App\Events\HandinRead;
use App\Jobs\CompareHandin;
use App\Jobs\PrepareHandin;
use App\Models\OverlapReport;
use App\Models\WritingReport;

/**
 * Has what was read looked through for names, and what counts compared and measured. With one mark a group, one of its
 * scripts is looked at for all.
 */
final class BeginScreening
{
    public function handle(HandinRead $event): void
    {
        $handin = $event->handin;
        $script = $handin->script;
        if ($script->lead_id !== null) {
            return;
        }
        $handin->prepared_at === null && PrepareHandin::dispatch($handin->id)->afterCommit();
        if ($script->current_handin_id === $handin->id) {
            OverlapReport::query()->firstOrCreate(['handin_id' => $handin->id]);
            CompareHandin::dispatch($handin->id)->afterCommit();
            WritingReport::await($script->assignment, $handin);
        }
    }
}
