<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Lets lateness pass without a cost, with a reason, or takes that back, until the result is out.
 */
final class WaiveLateness
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  string|null  $reason  null to take the waiver back
     *
     * @throws Refused
     */
    public function __invoke(Script $script, ?string $reason, User $by): void
    {
        DB::transaction(function () use ($script, $reason, $by): void {
            $stored = Script::query()->with(['assignment', 'student', 'currentHandin', 'result'])->lockForUpdate()
                ->findOrFail($script->id);
            throw_if(
                $stored->result !== null, new Refused('The result is out; what lateness cost is part of it.', 'waiver'),
            );
            throw_if(
                $reason !== null && $stored->currentHandin?->late !== true,
                new Refused('Nothing late came in here, so there is nothing to waive.', 'waiver'),
            );
            throw_if(
                $reason === null && $stored->waived_at === null, new Refused('Lateness is not waived here.', 'waiver'),
            );
            $stored->update(
                [
                    'waived_reason' => $reason, 'waived_by' => $reason === null ? null : $by->id,
                    'waived_at' => $reason === null ? null : now(),
                ]
            );
            $this->logbook->write(
                Entry::of($reason === null ? LogEvent::WaiverTakenBack : LogEvent::LatenessWaived)->on($stored->student)
                    ->in($stored->assignment)->by($by)
            );
        });
    }
}
