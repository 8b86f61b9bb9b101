<?php

declare(strict_types=1);

namespace App\Actions\ShareOut;

use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Conflict;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Takes a conflict of interest back.
 */
final class TakeBackConflict
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    public function __invoke(Conflict $conflict, User $by): void
    {
        DB::transaction(function () use ($conflict, $by): void {
            $this->logbook->write(
                Entry::of(LogEvent::ConflictTakenBack)->on($conflict->marker)->in($conflict->module)
                    ->with(student: $conflict->student)->by($by)
            );
            $conflict->delete();
        });
    }
}
