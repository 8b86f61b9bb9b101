<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Review;
use App\Models\User;

final class ReviewPolicy
{
    /** Coordinators, and whoever was asked to look at it: under the script code until names are revealed. */
    public function read(User $user, Review $review): bool
    {
        return $this->coordinate($user, $review) || $this->advise($user, $review);
    }

    public function coordinate(User $user, Review $review): bool
    {
        return $user->coordinates($review->script->assignment->module_id);
    }

    public function advise(User $user, Review $review): bool
    {
        return $review->with_id === $user->id && $user->roleIn($review->script->assignment->module_id) !== null;
    }

    /** Its file names people as files do. */
    public function readFile(User $user, Review $review): bool
    {
        return $review->script->student_id === $user->id
            || ($this->read($user, $review) && $review->script->assignment->namesRevealed());
    }

    /** Opens the file before names are revealed: a look behind the code. */
    public function lookAtFile(User $user, Review $review): bool
    {
        return $this->coordinate($user, $review);
    }
}
