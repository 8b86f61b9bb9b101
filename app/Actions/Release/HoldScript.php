<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Actions\Mark\StoreStandings;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Script;
use Illuminate\Support\Facades\DB;

/**
 * Holds a script back from release with a reason, or lets it go again.
 */
final class HoldScript
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly StoreStandings $standings,
    ) {
    }

    /**
     * @param  string|null  $reason  null lets it go
     *
     * @throws Refused after release
     */
    public function __invoke(Script $script, ?string $reason): void
    {
        DB::transaction(function () use ($script, $reason): void {
            // The script that is marked for a group first, as everything takes a group's scripts.
            $script->lead_id === null || Script::query()->lockForUpdate()->findOrFail($script->lead_id);
            $stored = Script::query()->lockForUpdate()->findOrFail($script->id);
            if ($stored->result()->exists()) {
                throw new Refused("The result of {$stored->code} has been released; it can no longer be held.");
            }
            $before = $stored->held_reason;
            $stored->update(['held_reason' => $reason]);
            ($this->standings)([$stored->id]);
            $this->logbook->write(
                Entry::of($reason === null ? LogEvent::ScriptLetGo : LogEvent::ScriptHeld)->on($stored)
                    ->because($reason ?? $before)
            );
        });
    }
}
