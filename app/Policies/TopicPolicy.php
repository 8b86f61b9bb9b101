<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Topic;
use App\Models\User;

final class TopicPolicy
{
    /** Whoever is in the module and can see the assignment: students once it is open. */
    public function view(User $user, Topic $topic): bool
    {
        return $user->can('discuss', $topic->assignment);
    }

    public function coordinate(User $user, Topic $topic): bool
    {
        return $user->coordinates($topic->assignment->module_id);
    }
}
