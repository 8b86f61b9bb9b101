<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Slot;
use App\Models\User;

final class SlotPolicy
{
    public function coordinate(User $user, Slot $slot): bool
    {
        return $user->coordinates($slot->assignment->module_id);
    }

    /** Its student, or a member of its group. */
    public function swap(User $user, Slot $slot): bool
    {
        return $slot->published_at !== null && (
            $slot->script->student_id === $user->id
            || ($slot->script->group_name !== null && $slot->script->group()->contains('student_id', $user->id))
        ) && $user->can('handIn', $slot->assignment);
    }
}
