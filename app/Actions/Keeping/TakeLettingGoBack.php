<?php

declare(strict_types=1);

namespace App\Actions\Keeping;

use App\Enums\KeepingState;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\KeepingDecision;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Takes back what was decided, as long as it has not gone.
 */
final class TakeLettingGoBack
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused when it has gone
     */
    public function __invoke(KeepingDecision $decision, User $by): void
    {
        DB::transaction(function () use ($decision, $by): void {
            $stored = KeepingDecision::query()->lockForUpdate()->findOrFail($decision->id);
            $stored->state === KeepingState::Gone && throw new Refused(__('keeping.due.has_gone'), 'things');
            if ($stored->state === KeepingState::TakenBack) {
                return;
            }
            $stored->update(['state' => KeepingState::TakenBack]);
            $this->logbook->write(
                Entry::of(LogEvent::LettingGoTakenBack)->in($stored->assignment)
                    ->with(what: $stored->kind->value)->by($by)
            );
        });
    }
}
