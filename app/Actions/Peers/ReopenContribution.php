<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Actions\Peers\Concerns\BeforeResults;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Contribution;
use App\Models\ContributionFactor;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Lets members rate again, as long as no result is out: what was worked out and set by hand is dropped.
 */
final class ReopenContribution
{
    use BeforeResults;

    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(Contribution $contribution, Carbon $dueAt, User $by): void
    {
        DB::transaction(function () use ($contribution, $dueAt, $by): void {
            Assignment::query()->lockForUpdate()->findOrFail($contribution->assignment_id);
            $stored = Contribution::query()->lockForUpdate()->findOrFail($contribution->id);
            $stored->isClosed() || throw new Refused((string) __('contribution.not_closed'));
            $this->beforeResults($stored->assignment->scripts()->pluck('id'));
            $dueAt->isFuture() || throw new Refused((string) __('contribution.due_is_over'), 'due_at');
            ContributionFactor::query()->where('contribution_id', $stored->id)->delete();
            $stored->update(['closed_at' => null, 'due_at' => $dueAt, 'reminded_at' => null]);
            $this->logbook->write(Entry::of(LogEvent::ContributionReopened)->on($stored->assignment)->by($by));
        });
    }
}
