<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\ObservationGround;
use App\Models\User;

final class ObservationGroundPolicy
{
    public function coordinate(User $user, ObservationGround $ground): bool
    {
        return $user->coordinates($ground->assignment->module_id);
    }
}
