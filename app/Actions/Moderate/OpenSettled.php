<?php

declare(strict_types=1);

namespace App\Actions\Moderate;

use App\Actions\Mark\StoreStandings;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Script;
use App\Models\Settlement;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Opens a settled script again, with a reason, until its result is out. What was settled stays to be read.
 */
final class OpenSettled
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly StoreStandings $standings,
    ) {
    }

    /**
     * @throws Refused
     */
    public function __invoke(Script $script, User $by, string $reason): void
    {
        DB::transaction(function () use ($script, $by, $reason): void {
            $stored = Script::query()->lockForUpdate()->findOrFail($script->id);
            if (Script::query()->where(fn ($query) => $query->whereKey($stored->id)->orWhere('lead_id', $stored->id))
                ->whereHas('result')->exists()) {
                throw new Refused(
                    'Its result is out and does not change any more. A student can ask for a review of the mark.',
                );
            }
            $settled = Settlement::query()->where('script_id', $stored->id)->whereNull('undone_at')->lockForUpdate()
                ->first() ?? throw new Refused('This script is not settled, so there is nothing to open again.');
            $stored->marks()->count() > 1 || throw new Refused(
                'This script has one mark: its marker can open that again at the desk.',
            );
            $before = $settled->shownMark();
            $settled->undo($by, $reason);
            ($this->standings)([$stored->id]);
            $this->logbook->write(
                Entry::of(LogEvent::SettledOpened)->on($stored)->with(before: $before)->because($reason)->by($by)
            );
        });
    }
}
