<?php

declare(strict_types=1);

namespace App\Actions\Moderate;

use App\Enums\Role;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\AssignmentModerator;
use App\Models\Membership;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Says who of the team moderates an assignment.
 */
final class SetModerators
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  list<string>  $people  public ids
     *
     * @throws Refused for someone who is not of the team
     */
    public function __invoke(Assignment $assignment, array $people, User $by): void
    {
        DB::transaction(function () use ($assignment, $people, $by): void {
            Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
            $team = Membership::query()->where('module_id', $assignment->module_id)->whereNull('left_at')
                ->whereIn('role', [Role::Coordinator, Role::Tutor])->select('user_id');
            $ids = User::query()->whereIn('public_id', $people)->whereIn('id', $team)->pluck('id');
            $ids->count() === count(array_unique($people)) || throw new Refused(
                'A moderator has to be of this module’s team. Nothing was changed.',
            );
            AssignmentModerator::query()->where('assignment_id', $assignment->id)->whereNotIn('user_id', $ids)->delete();
            foreach ($ids as $id) {
                AssignmentModerator::query()->firstOrCreate(['assignment_id' => $assignment->id, 'user_id' => $id]);
            }
            $this->logbook->write(
                Entry::of(LogEvent::ModeratorsSet)->on($assignment)->with(members: $ids->count())->by($by)
            );
        });
    }
}
