<?php

declare(strict_types=1);

namespace App\Policies;

use App\Enums\Role;
use App\Models\BankSet;
use App\Models\Membership;
use App\Models\RoundMember;
use App\Models\User;

final class BankSetPolicy
{
    /** Whoever marks somewhere, and students who review. */
    public function viewAny(User $user): bool
    {
        return $user->memberships->contains(
            fn (Membership $member) => $member->left_at === null
            && in_array($member->role, [Role::Coordinator, Role::Tutor], true)
        ) || RoundMember::query()->where('user_id', $user->id)->exists();
    }

    /** A module's sets are its team's; a personal one is its owner's alone. */
    public function edit(User $user, BankSet $set): bool
    {
        return $set->module_id === null
            ? $set->owner_id === $user->id
            : in_array($user->roleIn($set->module_id), [Role::Coordinator, Role::Tutor], true);
    }
}
