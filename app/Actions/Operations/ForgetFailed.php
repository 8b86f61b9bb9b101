<?php

declare(strict_types=1);

namespace App\Actions\Operations;

use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Takes work that failed off the list: it is not tried again.
 */
final class ForgetFailed
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    public function __invoke(string $job, User $by): void
    {
        DB::transaction(function () use ($job, $by): void {
            $gone = DB::table('failed_jobs')->where('uuid', $job)->delete();
            $gone === 0 || $this->logbook->write(Entry::of(LogEvent::WorkForgotten)->with(what: $gone)->by($by));
        });
    }
}
