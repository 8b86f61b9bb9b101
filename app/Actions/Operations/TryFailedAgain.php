<?php

declare(strict_types=1);

namespace App\Actions\Operations;

use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\User;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/**
 * Gives work that failed to the workers once more.
 */
final class TryFailedAgain
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  string|null  $job  its id; null for all
     * @return int how many
     */
    public function __invoke(?string $job, User $by): int
    {
        return DB::transaction(function () use ($job, $by): int {
            $ids = DB::table('failed_jobs')->when($job !== null, fn ($query) => $query->where('uuid', $job))
                ->lockForUpdate()->pluck('uuid')->map(strval(...))->all();
            if ($ids !== []) {
                Artisan::call('queue:retry', ['id' => $ids]);
                $this->logbook->write(Entry::of(LogEvent::WorkTriedAgain)->with(what: count($ids))->by($by));
            }

            return count($ids);
        });
    }
}
