<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Enums\Role;
use App\Models\Assignment;
use App\Models\Membership;
use App\Models\Script;
use YoungHarbor\Core\ScriptCode;

/**
 * Gives every student of the module who has none yet a place in an open assignment, under a code drawn at random.
 */
final class ExpectScripts
{
    /**
     * @return int how many were added
     */
    public function __invoke(Assignment $assignment): int
    {
        $have = Script::query()->where('assignment_id', $assignment->id)->pluck('student_id')->all();
        $students = Membership::query()->where('module_id', $assignment->module_id)->where('role', Role::Student)
            ->whereNotIn('user_id', $have)->pluck('user_id')->shuffle();
        $taken = array_fill_keys(Script::query()->where('assignment_id', $assignment->id)->pluck('code')->all(), true);
        foreach ($students as $student) {
            do {
                $code = (string) ScriptCode::drawn(random_int(0, count(ScriptCode::BIRDS) - 1), random_int(0, 999));
            } while (isset($taken[$code]));
            $taken[$code] = true;
            Script::query()->create(['assignment_id' => $assignment->id, 'student_id' => $student, 'code' => $code]);
        }

        return $students->count();
    }
}
