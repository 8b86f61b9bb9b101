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

    /**
     * Text, pages and comments: they would lead from a name to the same words under a script code, so that those who
     * see codes elsewhere read them beside a name only once names are revealed.
     */
    public function words(User $user, Result $result): Response
    {
        return match (true) {
            $this->isOwn($user, $result) => Response::allow(),
            ! $user->coordinates($result->script->assignment->module_id) => $this->view($user, $result),
            ! $result->script->assignment->namesRevealed() => Response::deny((string) __('release.words_wait')),
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
