<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Contribution;
use App\Models\ContributionFactor;
use App\Models\ContributionRating;
use App\Models\User;
use App\Peers\Contributions;
use Illuminate\Support\Facades\DB;

/**
 * Ends the rating of contributions: each member's factor is worked out and joins the working of their mark.
 */
final class CloseContribution
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(Contribution $contribution, User $by): void
    {
        DB::transaction(function () use ($contribution, $by): void {
            Assignment::query()->lockForUpdate()->findOrFail($contribution->assignment_id);
            $stored = Contribution::query()->lockForUpdate()->findOrFail($contribution->id);
            if ($stored->isClosed()) {
                return;
            }
            $stored->opened_at !== null || throw new Refused((string) __('contribution.close_before_opened'));
            $groups = Contributions::groups($stored);
            $raters = ContributionRating::query()->where('contribution_id', $stored->id)->distinct()->pluck('rater_id');
            $stored->due_at->isPast() || $groups->flatten(1)->pluck('id')->diff($raters)->isEmpty()
                || throw new Refused((string) __('contribution.close_before_due'));
            $count = 0;
            foreach (Contributions::ratings($stored, $groups) as $ratings) {
                foreach ($ratings->factors($stored->settings) as $member => $factor) {
                    ContributionFactor::query()->create([
                        'contribution_id' => $stored->id, 'script_id' => (int) substr((string) $member, 7),
                        'factor' => (string) $factor->simplified(),
                    ]);
                    $count++;
                }
            }
            $stored->update(['closed_at' => now()]);
            $this->logbook->write(
                Entry::of(LogEvent::ContributionClosed)->on($stored->assignment)->with(scripts: $count)->by($by),
            );
        });
    }
}
