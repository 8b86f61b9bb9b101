<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;

/**
 * Accounts over all modules: an administrator's. They show names and modules, never scripts or marks.
 */
final class UserPolicy
{
    public function administer(User $user): bool
    {
        return $user->is_admin;
    }
}
