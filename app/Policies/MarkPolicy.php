<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Mark;
use App\Models\User;
use Illuminate\Auth\Access\Response;

final class MarkPolicy
{
    /** A mark on the desk is its marker's alone: nobody else opens it by its address. */
    public function open(User $user, Mark $mark): Response
    {
        if ($mark->isStudents()) {
            return Response::deny((string) __('peers.not_your_desk'));
        }

        if ($user->roleIn($mark->script->assignment->module_id) === null) {
            return Response::deny('You are no longer in this module. What you marked is kept.');
        }

        if ($mark->isHandedOver()) {
            return Response::deny(
                'This script has been handed over to another marker. What you had marked is kept as it was.'
            );
        }

        return $mark->marker_id === $user->id
            ? Response::allow()
            : Response::deny('This script is with another marker. Your own scripts are listed under Mark.');
    }

    /** Records what is seen of someone: a mark of the observer's own, in an assignment that is observed. */
    public function observe(User $user, Mark $mark): Response
    {
        return $mark->script->assignment->isObserved() ? $this->open($user, $mark) : Response::deny();
    }

    /** What both desks ask the server: a marker's, and a student's who reviews. */
    public function write(User $user, Mark $mark): Response
    {
        $review = $mark->isStudents() ? $mark->peerReview : null;

        return $review === null ? $this->open($user, $mark) : app(PeerReviewPolicy::class)->write($user, $review);
    }
}
