<?php

declare(strict_types=1);

namespace App\Actions\ShareOut;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Conflict;
use App\Models\Mark;
use App\Models\Module;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Records that someone does not mark the work of a student.
 */
final class RecordConflict
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @return int scripts of the student that are with this marker now
     */
    public function __invoke(Module $module, User $marker, User $student, string $reason, User $by): int
    {
        return DB::transaction(function () use ($module, $marker, $student, $reason, $by): int {
            throw_if(
                Conflict::query()->where('module_id', $module->id)->where('marker_id', $marker->id)
                    ->where('student_id', $student->id)->exists(),
                new Refused("That {$marker->name} does not mark {$student->name} is recorded already."),
            );
            Conflict::query()->create(
                [
                    'module_id' => $module->id, 'marker_id' => $marker->id, 'student_id' => $student->id,
                    'reason' => $reason, 'made_by' => $by->id,
                ]
            );
            $this->logbook->write(
                Entry::of(LogEvent::ConflictRecorded)->on($marker)->in($module)->with(student: $student)
                    ->because($reason)->by($by)
            );

            return Mark::query()->where('marker_id', $marker->id)
                ->whereHas(
                    'script',
                    fn ($query) => $query->where('student_id', $student->id)->whereDoesntHave('result')
                        ->whereHas('assignment', fn ($assignment) => $assignment->where('module_id', $module->id)),
                )
                ->count();
        });
    }
}
