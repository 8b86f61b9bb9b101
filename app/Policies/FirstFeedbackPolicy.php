<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\FirstFeedback;
use App\Models\User;

final class FirstFeedbackPolicy
{
    /** Remarks on a draft are its student's alone. */
    public function view(User $user, FirstFeedback $feedback): bool
    {
        return $feedback->student_id === $user->id;
    }
}
