<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Enums\Role;
use App\Models\Assignment;
use App\Models\Membership;
use App\Models\Script;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\ScriptCode;

/**
 * Gives every student of the module who has none yet a place in an open assignment, under a code drawn at random.
 */
final class ExpectScripts
{
    public function __construct(private readonly SetDueTimes $setDueTimes)
    {
    }

    /**
     * @return int how many were added; none once the assignment is closed
     */
    public function __invoke(Assignment $assignment): int
    {
        if ($assignment->closes_at?->isPast()) {
            return 0;
        }
        $students = Membership::query()->where('module_id', $assignment->module_id)->where('role', Role::Student)
            ->whereNull('left_at')
            ->whereNotIn('user_id', Script::query()->where('assignment_id', $assignment->id)->select('student_id'))
            ->pluck('user_id')->shuffle();
        $taken = array_fill_keys(Script::query()->where('assignment_id', $assignment->id)->pluck('code')->all(), true);
        $rows = [];
        foreach ($students as $student) {
            do {
                $code = (string) ScriptCode::drawn(random_int(0, count(ScriptCode::BIRDS) - 1), random_int(0, 999));
            } while (isset($taken[$code]));
            $taken[$code] = true;
            $rows[] = [
                'public_id' => (new Script)->newUniqueId(), 'assignment_id' => $assignment->id,
                'student_id' => $student, 'code' => $code, 'created_at' => now(), 'updated_at' => now(),
            ];
        }
        foreach (array_chunk($rows, 500) as $some) {
            DB::table('scripts')->insert($some);
        }
        ($this->setDueTimes)($assignment);

        return count($rows);
    }
}
