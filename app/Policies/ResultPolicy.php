<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Result;
use App\Models\User;
use Illuminate\Auth\Access\Response;

final class ResultPolicy
{
    public function view(User $user, Result $result): Response
    {
        return $this->isOwn($user, $result) || $user->coordinates($result->script->assignment->module_id)
            ? Response::allow()
            : Response::deny('This result belongs to someone else. Yours are listed on Today.');
    }

    /** Puts a corrected one in its place. */
    public function correct(User $user, Result $result): Response
    {
        return match (true) {
            ! $user->coordinates($result->script->assignment->module_id) => Response::deny(
                'Only a coordinator corrects a result that is out.',
            ),
            $result->script->leadScript()->marks->contains('marker_id', $user->id) => Response::deny(
                'You marked this script yourself: let another coordinator correct it.',
            ),
            default => Response::allow(),
        };
    }

    public function read(User $user, Result $result): bool
    {
        return $this->isOwn($user, $result);
    }

    private function isOwn(User $user, Result $result): bool
    {
        return $result->script->student_id === $user->id;
    }
}
