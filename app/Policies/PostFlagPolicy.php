<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\PostFlag;
use App\Models\User;

final class PostFlagPolicy
{
    public function coordinate(User $user, PostFlag $flag): bool
    {
        return $user->coordinates($flag->post->topic->assignment->module_id);
    }
}
