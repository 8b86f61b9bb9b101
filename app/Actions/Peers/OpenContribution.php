<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Contribution;
use App\Models\User;
use App\Peers\Contributions;
use App\Peers\TellOfContribution;
use Illuminate\Support\Facades\DB;

/**
 * Asks the members of groups to rate each other.
 */
final class OpenContribution
{
    public function __construct(private readonly TellOfContribution $tell, private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(Contribution $contribution, User $by): void
    {
        DB::transaction(function () use ($contribution, $by): void {
            $stored = Contribution::query()->with('assignment.module')->lockForUpdate()->findOrFail($contribution->id);
            if ($stored->opened_at !== null) {
                return;
            }
            $stored->assignment->isPublished() || throw new Refused((string) __('peers.assignment_closed'));
            $stored->due_at->isFuture() || throw new Refused((string) __('contribution.due_is_over'));
            Contributions::groups($stored)->isEmpty() && throw new Refused((string) __('contribution.no_groups'));
            $stored->update(['opened_at' => now()]);
            $this->logbook->write(Entry::of(LogEvent::ContributionOpened)->on($stored->assignment)->by($by));
            $this->tell->asked($stored);
        });
    }
}
