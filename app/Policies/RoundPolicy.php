<?php

declare(strict_types=1);

namespace App\Policies;

use App\Enums\Role;
use App\Models\Round;
use App\Models\User;

final class RoundPolicy
{
    public function coordinate(User $user, Round $round): bool
    {
        return $user->coordinates($round->assignment->module_id);
    }

    /** Students of the module, once it is shown to them. */
    public function take(User $user, Round $round): bool
    {
        return $round->isOpened() && $user->roleIn($round->assignment->module_id) === Role::Student
            && $round->assignment->isOpen();
    }
}
