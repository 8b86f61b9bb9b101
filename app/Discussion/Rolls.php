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
            Script::query()->where('assignment_id', $assignment->id)->with('student:id,name,number,email,former_names')->orderBy('id')
                ->get(['id', 'student_id', 'code'])->flatMap(fn (Script $one) => array_map(
                    fn (array $naming) => [...$naming, 'shown' => $one->code], $one->student->namings(),
                ))->all()
        ));
    }
}
