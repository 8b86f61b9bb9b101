<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Mail\ExtensionGiven;
use App\Models\Assignment;
use App\Models\Extension;
use App\Models\Handin;
use App\Models\Script;
use App\Models\User;
use App\Wording\LocalTime;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;

/**
 * Gives a student more time for one assignment, in place of an extension before, or takes it back. The student is
 * told by mail. Work that came in under an extension keeps it.
 */
final class ChangeExtension
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly SetDueTimes $setDueTimes,
    ) {
    }

    /**
     * @param  Carbon|null  $due  null to take the extension back
     *
     * @throws Refused
     */
    public function __invoke(Script $script, ?Carbon $due, string $reason, User $by): void
    {
        DB::transaction(function () use ($script, $due, $reason, $by): void {
            $assignment = Assignment::query()->lockForUpdate()->findOrFail($script->assignment_id);
            $this->refuse($assignment, $script, $due);
            $ended = Extension::query()->where('assignment_id', $assignment->id)
                ->where('student_id', $script->student_id)->whereNull('ended_at')
                ->update(['ended_at' => now(), 'ended_by' => $by->id]);
            if ($due === null && $ended === 0) {
                throw new Refused('There is no extension to take back.', 'extension');
            }
            $before = $script->due_at;
            if ($due !== null) {
                $extension = Extension::query()->create(
                    [
                        'assignment_id' => $assignment->id, 'student_id' => $script->student_id, 'due_at' => $due,
                        'reason' => $reason, 'given_by' => $by->id,
                    ]
                );
                Mail::to($script->student->email)->queue((new ExtensionGiven($extension))->afterCommit());
            }
            ($this->setDueTimes)($assignment);
            if ($due === null) {
                $this->refuseIfUsed($script, $before);
            }
            // The reason stays on the student's page: it can be about someone's health.
            $this->logbook->write(
                Entry::of($due === null ? LogEvent::ExtensionTakenBack : LogEvent::ExtensionGiven)->on($script->student)
                    ->in($assignment)->with(due: $due?->copy()->utc()->format('Y-m-d H:i:s'))->by($by)
            );
        });
    }

    private function refuse(Assignment $assignment, Script $script, ?Carbon $due): void
    {
        throw_if(
            $script->result()->exists(),
            new Refused('The result of this work is out, so its due time stays as it was.', 'extension'),
        );
        throw_if(
            $due !== null && ($assignment->due_at === null || $due->lte($assignment->due_at)),
            new Refused(
                'An extension must be later than the due time for everyone, '.LocalTime::shown($assignment->due_at).'.',
                'extension',
            ),
        );
    }

    private function refuseIfUsed(Script $script, ?Carbon $before): void
    {
        $now = $script->fresh()?->due_at;
        $used = $now !== null && $before !== null && Handin::query()->where('script_id', $script->id)
            ->where('received_at', '>', $now)->where('received_at', '<=', $before)->exists();
        throw_if($used, new Refused('Work came in under this extension, so it stays.', 'extension'));
    }
}
