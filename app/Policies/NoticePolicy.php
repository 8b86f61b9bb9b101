<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Notice;
use App\Models\User;

final class NoticePolicy
{
    public function read(User $user, Notice $notice): bool
    {
        return $notice->user_id === $user->id;
    }
}
