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

    /** Why a mark that is done stays done; null when it can be opened again. */
    public static function refusal(Mark $mark): ?string
    {
        $script = $mark->script;

        return match (true) {
            $script->result()
                ->exists() => "The result of {$script->code} has been released; its marks no longer change.",
            $mark->counts && $script->marks()->count() > 1 && $script->marks()->whereNull('done_at')
                ->doesntExist() => 'Both marks of this script are in, so moderation has begun. If yours should change, settle it with the other marker.',
            default => null,
        };
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
            $why = self::refusal($stored->setRelation('script', $script));
            throw_if($why !== null, new Refused((string) $why));
            $before = $stored->shownTotal();
            $stored->counts && $script->settlement()->delete();
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
