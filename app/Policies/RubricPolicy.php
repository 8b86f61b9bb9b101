<?php

declare(strict_types=1);

namespace App\Policies;

use App\Enums\Role;
use App\Models\Rubric;
use App\Models\User;

final class RubricPolicy
{
    public function viewAny(User $user): bool
    {
        return $user->memberships->contains(fn ($membership) => $membership->role !== Role::Student);
    }

    /** Staff of the module; students meet a rubric only as part of an assignment that is open to them. */
    public function view(User $user, Rubric $rubric): bool
    {
        return ! in_array($user->roleIn($rubric->module_id), [null, Role::Student], true);
    }

    public function edit(User $user, Rubric $rubric): bool
    {
        return $user->coordinates($rubric->module_id);
    }
}
