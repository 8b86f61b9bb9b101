<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Mail\FromCoordinator;
use App\Models\Message;
use App\Models\Script;
use App\Models\User;
use App\Queries\Collect\Cohort;
use App\Wording\StudentPlaceholders;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use YoungHarbor\Core\Collect\Placeholders;

/**
 * Writes to the students a cohort page shows: each gets a mail of their own, with the placeholders filled in.
 */
final class WriteToStudents
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    public function __invoke(Cohort $cohort, string $subject, string $body, User $by): Message
    {
        $assignment = $cohort->assignment;

        return DB::transaction(function () use ($cohort, $assignment, $subject, $body, $by): Message {
            $students = $cohort->students();
            $message = Message::query()->create(
                [
                    'assignment_id' => $assignment->id, 'sent_by' => $by->id, 'subject' => $subject, 'body' => $body,
                    'shown' => mb_substr($cohort->inWords(), 0, 80), 'recipients' => count($students),
                ]
            );
            foreach (array_chunk($students, 500) as $some) {
                foreach (
                    Script::query()->where('assignment_id', $assignment->id)->whereIn('student_id', $some)
                        ->with('student')->get() as $script
                ) {
                    $values = StudentPlaceholders::of($assignment, $script);
                    Mail::to($script->student->email)->queue(
                        (
                            new FromCoordinator(
                                Placeholders::fill($subject, $values), Placeholders::fill($body, $values), $by->name,
                                $by->email,
                            )
                        )->afterCommit()
                    );
                }
            }
            $this->logbook->write(
                Entry::of(LogEvent::StudentsWrittenTo)->on($assignment)->with(students: count($students))
                    ->saying(title: $subject, to: $message->shown)->by($by)
            );

            return $message;
        });
    }
}
