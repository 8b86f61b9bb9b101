<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Enums\HandInBy;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Contribution;
use App\Models\ContributionRating;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Peers\ContributionSettings;

/**
 * Says how members of groups rate each other's part, and changes it until it is closed. What is rated stays once someone
 * has rated.
 */
final class SaveContribution
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(
        Assignment $assignment, ContributionSettings $settings, Carbon $dueAt, User $by,
    ): Contribution {
        return DB::transaction(function () use ($assignment, $settings, $dueAt, $by): Contribution {
            $in = Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
            $in->handin_by === HandInBy::GroupOneMark || throw new Refused((string) __('contribution.needs_groups'));
            $stored = Contribution::query()->where('assignment_id', $in->id)->lockForUpdate()->first();
            $stored?->isClosed() && throw new Refused((string) __('contribution.closed_no_change'));
            if ($stored !== null && $stored->settings->criteria !== $settings->criteria
                && ContributionRating::query()->where('contribution_id', $stored->id)->exists()) {
                throw new Refused((string) __('contribution.criteria_fixed'), 'criteria');
            }
            $entry = Entry::of($stored === null ? LogEvent::ContributionMade : LogEvent::ContributionChanged)
                ->on($in)->by($by);
            $fields = ['settings' => $settings, 'due_at' => $dueAt];
            if ($stored === null) {
                $stored = Contribution::query()->create($fields + ['assignment_id' => $in->id, 'made_by' => $by->id]);
                $this->logbook->write($entry);

                return $stored;
            }
            $stored->fill($fields);
            if ($stored->isDirty()) {
                $stored->lock_version++;
                $stored->reminded_at = $stored->isDirty('due_at') ? null : $stored->reminded_at;
                $stored->save();
                $this->logbook->write($entry);
            }

            return $stored;
        });
    }
}
