<?php

declare(strict_types=1);

namespace App\Policies;

use App\Enums\Role;
use App\Models\ReflectionSheet;
use App\Models\User;

final class ReflectionSheetPolicy
{
    public function coordinate(User $user, ReflectionSheet $sheet): bool
    {
        return $user->coordinates($sheet->module_id);
    }

    /** Coordinators, and those who mark where the sheet says so. */
    public function read(User $user, ReflectionSheet $sheet): bool
    {
        return $user->coordinates($sheet->module_id) || (
            $sheet->opened_at !== null && $sheet->settings->teamReads
            && $user->roleIn($sheet->module_id) === Role::Tutor
        );
    }

    /** Students of the module, once they are asked. */
    public function write(User $user, ReflectionSheet $sheet): bool
    {
        return $sheet->opened_at !== null && $user->roleIn($sheet->module_id) === Role::Student;
    }
}
