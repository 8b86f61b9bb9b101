<?php

declare(strict_types=1);

namespace App\Policies;

use App\Enums\PackState;
use App\Enums\Role;
use App\Models\SamplePack;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/**
 * A pack is its reader's and the coordinators'; until it is sent, the coordinators' alone.
 */
final class SamplePackPolicy
{
    public function read(User $user, SamplePack $pack): Response
    {
        return match (true) {
            $user->coordinates($pack->assignment->module_id) => Response::allow(),
            ! $this->isReader($user, $pack) => Response::deny('This pack is for someone else.'),
            $pack->state === PackState::Gathering => Response::deny('This pack is still being put together.'),
            default => Response::allow(),
        };
    }

    public function coordinate(User $user, SamplePack $pack): bool
    {
        return $user->coordinates($pack->assignment->module_id);
    }

    /** Its reader alone writes notes, asks and signs. */
    public function sign(User $user, SamplePack $pack): Response
    {
        return $this->isReader($user, $pack) && $pack->state !== PackState::Gathering
            ? Response::allow()
            : Response::deny('Only who reads this pack writes in it and signs it.');
    }

    private function isReader(User $user, SamplePack $pack): bool
    {
        return $pack->reader_id === $user->id
            && ! in_array($user->roleIn($pack->assignment->module_id), [null, Role::Student], true);
    }
}
