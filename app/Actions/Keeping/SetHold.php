<?php

declare(strict_types=1);

namespace App\Actions\Keeping;

use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Sets that nothing of a person is erased for now, or ends it.
 */
final class SetHold
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  string|null  $reason  null to end it
     */
    public function __invoke(User $person, ?string $reason, User $by): void
    {
        DB::transaction(function () use ($person, $reason, $by): void {
            $stored = User::query()->lockForUpdate()->findOrFail($person->id);
            if ($stored->hold_reason === $reason) {
                return;
            }
            $stored->forceFill(['hold_reason' => $reason])->save();
            $this->logbook->write(
                Entry::of($reason === null ? LogEvent::HoldEnded : LogEvent::HoldSet)->on($stored)->because($reason)
                    ->by($by)
            );
        });
    }
}
