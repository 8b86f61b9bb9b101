<?php

declare(strict_types=1);

namespace App\Discussion;

use App\Models\Assignment;
use App\Models\Script;
use YoungHarbor\Core\Names\Roll;

/**
 * The people of a discussion: everyone who has or had a place in it, by their script codes.
 */
final class Rolls
{
    public static function of(Assignment $assignment): Roll
    {
        return new Roll(array_values(
            Script::query()->where('assignment_id', $assignment->id)->with('student:id,name,number,email')->orderBy('id')
                ->get(['id', 'student_id', 'code'])->map(fn (Script $one) => [
                    'name' => $one->student->name, 'number' => $one->student->number, 'email' => $one->student->email,
                    'shown' => $one->code,
                ])->all()
        ));
    }
}
