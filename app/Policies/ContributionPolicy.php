<?php

declare(strict_types=1);

namespace App\Policies;

use App\Enums\Role;
use App\Models\Contribution;
use App\Models\Script;
use App\Models\User;
use Illuminate\Auth\Access\Response;

final class ContributionPolicy
{
    public function coordinate(User $user, Contribution $contribution): bool
    {
        return $user->coordinates($contribution->assignment->module_id);
    }

    /** Members of a group, once they are asked. */
    public function take(User $user, Contribution $contribution): Response
    {
        if ($contribution->opened_at === null || ! $contribution->assignment->isOpen()
            || $user->roleIn($contribution->assignment->module_id) !== Role::Student) {
            return Response::deny();
        }
        $script = Script::query()->where('assignment_id', $contribution->assignment_id)
            ->where('student_id', $user->id)->whereNull('left_at')->first();

        return $script?->group_name === null
            ? Response::deny((string) __('contribution.no_group')) : Response::allow();
    }
}
