<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Enums\ReleaseState;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Release;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Moves a release to another time, or stops it, until it begins.
 */
final class ChangeRelease
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  Carbon|null  $at  the new time; null stops it
     *
     * @throws Refused once it has begun, or for a time that is past
     */
    public function __invoke(Release $release, ?Carbon $at, User $by): Release
    {
        return DB::transaction(function () use ($release, $at, $by): Release {
            $assignment = Assignment::query()->lockForUpdate()->findOrFail($release->assignment_id);
            $stored = Release::query()->lockForUpdate()->findOrFail($release->id);
            $stored->state === ReleaseState::Set || throw new Refused(
                (string) __("release.not_set_any_more.{$stored->state->value}"),
            );
            $at === null || $at->isAfter(now()->addMinute()) || throw new Refused(
                'That time is past or less than a minute away. It stays set as it was.', 'at',
            );
            $before = $stored->due_at;
            $stored->update(
                $at === null ? ['state' => ReleaseState::Stopped, 'stopped_by' => $by->id] : ['due_at' => $at],
            );
            $this->logbook->write(
                Entry::of($at === null ? LogEvent::ReleaseStopped : LogEvent::ReleaseMoved)->on($assignment)
                    ->with(before: $before?->toIso8601String(), due: $at?->toIso8601String())->by($by),
            );

            return $stored;
        });
    }
}
