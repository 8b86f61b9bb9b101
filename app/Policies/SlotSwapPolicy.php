<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\SlotSwap;
use App\Models\User;

final class SlotSwapPolicy
{
    /** Whoever is asked, and coordinators. */
    public function answer(User $user, SlotSwap $swap): bool
    {
        return $user->can('swap', $swap->other) || $this->decide($user, $swap);
    }

    public function decide(User $user, SlotSwap $swap): bool
    {
        return $user->coordinates($swap->slot->assignment->module_id);
    }
}
