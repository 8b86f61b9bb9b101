<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Mark;
use App\Models\Script;
use Illuminate\Support\Facades\DB;

/**
 * Takes "done" back, until moderation has begun: that is, until every mark of the script is done.
 */
final class ReopenMark
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly StoreStandings $standings,
    ) {
    }

    /**
     * @throws Refused
     */
    public function __invoke(Mark $mark): void
    {
        DB::transaction(function () use ($mark): void {
            $script = Script::query()->lockForUpdate()->findOrFail($mark->script_id);
            $stored = Mark::query()->lockForUpdate()->findOrFail($mark->id);
            if (! $stored->isDone()) {
                return;
            }
            $why = $stored->setRelation('script', $script)->whyItStays();
            throw_if($why !== null, new Refused((string) $why));
            $before = $stored->shownTotal();
            $stored->counts && $script->settlement?->undo($stored->marker);
            $stored->forceFill(
                ['done_at' => null, 'total' => null, 'lock_version' => $stored->lock_version + 1]
            )->save();
            ($this->standings)([$script->id]);
            $this->logbook->write(
                Entry::of(LogEvent::MarkReopened)->on($script)->with(seat: $stored->seat, before: $before)
            );
        });
    }
}
