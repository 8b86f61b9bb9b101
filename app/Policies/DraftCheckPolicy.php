<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\DraftCheck;
use App\Models\User;

final class DraftCheckPolicy
{
    /** A draft is its student's alone: neither markers nor the coordinator see it. */
    public function view(User $user, DraftCheck $draft): bool
    {
        return $draft->student_id === $user->id;
    }
}
