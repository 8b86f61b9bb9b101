<?php

declare(strict_types=1);

namespace App\Policies;

use App\Enums\Role;
use App\Models\Module;
use App\Models\User;

final class ModulePolicy
{
    public function create(User $user): bool
    {
        return $user->is_admin;
    }

    public function view(User $user, Module $module): bool
    {
        return $user->is_admin || $user->roleIn($module->id) !== null;
    }

    public function coordinate(User $user, Module $module): bool
    {
        return $user->coordinates($module->id);
    }

    /** Adding people also falls to the administrator, who makes a module before it has a coordinator. */
    public function addPeople(User $user, Module $module): bool
    {
        return $user->is_admin || $user->coordinates($module->id);
    }

    /** For how long what is kept, and what goes. */
    public function keep(User $user, Module $module): bool
    {
        return $user->is_admin || $user->coordinates($module->id);
    }

    /** Everyone of the module but the external examiner: each sees what is theirs to write or to read. */
    public function viewSheets(User $user, Module $module): bool
    {
        return in_array($user->roleIn($module->id), [Role::Coordinator, Role::Tutor, Role::Student], true);
    }

    public function viewGradeBook(User $user, Module $module): bool
    {
        return $user->coordinates($module->id);
    }

    /** Coordinators, and the external examiner, who sits on the board. */
    public function viewBoardSheet(User $user, Module $module): bool
    {
        return $user->coordinates($module->id) || $user->roleIn($module->id) === Role::Examiner;
    }

    /** Staff of the module; what each sees of whom is settled assignment by assignment. */
    public function compareAssignments(User $user, Module $module): bool
    {
        return ! in_array($user->roleIn($module->id), [null, Role::Student], true);
    }

    public function viewLogbook(User $user, Module $module): bool
    {
        return $user->coordinates($module->id);
    }
}
