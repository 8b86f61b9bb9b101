<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\KeepingDecision;
use App\Models\User;

final class KeepingDecisionPolicy
{
    /** Whoever could have decided it. */
    public function takeBack(User $user, KeepingDecision $decision): bool
    {
        return $user->is_admin
            || ($decision->assignment !== null && $user->coordinates($decision->assignment->module_id));
    }
}
