<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Handin;
use App\Models\User;

final class HandinPolicy
{
    /** The receipt and the file as it came in are their student's. */
    public function view(User $user, Handin $handin): bool
    {
        return $handin->script->student_id === $user->id;
    }
}
