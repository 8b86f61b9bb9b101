<?php

declare(strict_types=1);

namespace App\Policies;

use App\Enums\Role;
use App\Enums\RubricScope;
use App\Models\Rubric;
use App\Models\User;

final class RubricPolicy
{
    public function viewAny(User $user): bool
    {
        return $user->memberships->contains(fn ($membership) => $membership->role !== Role::Student);
    }

    /** Whoever plans somewhere may begin a rubric of their own and look at what the library offers. */
    public function create(User $user): bool
    {
        return $user->coordinatesAny();
    }

    /**
     * Staff of the module; the owner of a personal one; any staff for the institution's. Students meet a rubric only
     * as part of an assignment that is open to them.
     */
    public function view(User $user, Rubric $rubric): bool
    {
        return match ($rubric->scope) {
            RubricScope::Module => ! in_array($user->roleIn((int) $rubric->module_id), [null, Role::Student], true),
            RubricScope::Person => $rubric->owner_id === $user->id,
            RubricScope::Institution => $this->viewAny($user),
        };
    }

    public function edit(User $user, Rubric $rubric): bool
    {
        return match ($rubric->scope) {
            RubricScope::Module => $user->coordinates((int) $rubric->module_id),
            RubricScope::Person => $rubric->owner_id === $user->id,
            RubricScope::Institution => $rubric->owner_id === $user->id || ($user->is_admin && $this->viewAny($user)),
        };
    }

    /** Copying needs somewhere to put the copy: a module one coordinates, or one's own shelf. */
    public function copy(User $user, Rubric $rubric): bool
    {
        return $this->view($user, $rubric) && $this->create($user);
    }
}
