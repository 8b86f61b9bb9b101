<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Exceptions\Refused;
use App\Extraction\Refusal;
use App\Handins\UploadedPiece;
use App\Handins\WorkReader;
use App\Jobs\ReadDraftJob;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\DraftCheck;
use App\Models\Script;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;

/**
 * Checks a draft before it is handed in: what is read of it, and which of its words stand in hand-ins so far.
 */
final class CheckDraft
{
    public function __construct(
        private readonly WorkReader $read,
        private readonly Logbook $logbook,
    ) {
    }

    /**
     * @param  list<UploadedFile|string>  $works
     *
     * @throws Refused when no check is left, or it is too late for one
     * @throws Refusal when a file cannot be taken; then no check is used up, nor when it cannot be read
     */
    public function __invoke(Assignment $assignment, User $student, array $works): DraftCheck
    {
        $this->refuse($assignment, $student);
        $files = array_map(
            fn (UploadedPiece $piece): array => [
                'name' => $piece->name, 'kind' => $piece->kind->value, 'path' => $piece->store('drafts'),
            ],
            $this->read->take($assignment, $works),
        );

        $draft = DB::transaction(function () use ($assignment, $student, $files): DraftCheck {
            $script = Script::query()->where('assignment_id', $assignment->id)->where('student_id', $student->id)
                ->lockForUpdate()->sole();
            $this->refuse($assignment, $student);
            $draft = DraftCheck::query()
                ->create(
                    [
                        'script_id' => $script->id, 'student_id' => $student->id, 'words' => 0, 'text' => '',
                        'notes' => [], 'files' => $files,
                    ]
                )
                ->refresh();
            $this->logbook->write(
                Entry::of(LogEvent::DraftChecked)->on($assignment)->with(left: DraftCheck::left($assignment, $student))
                    ->by($student)
            );
            ReadDraftJob::dispatch($draft->id, $student->id)->afterCommit();

            return $draft;
        });

        return $draft->refresh();
    }

    private function refuse(Assignment $assignment, User $student): void
    {
        $script = Script::query()->where('assignment_id', $assignment->id)->where('student_id', $student->id)->first();
        throw_if(
            $script === null,
            new Refused('You are not on the list for this assignment. Ask your module coordinator to add you.'),
        );
        throw_if(
            ! $assignment->isOpen() || $script->isPastDue(), new Refused('Drafts can be checked until the due time.'),
        );
        throw_if(
            DraftCheck::left($assignment, $student) === 0,
            new Refused(
                'You have used your '.(
                    $assignment->self_checks === 1 ? 'one check' : "{$assignment->self_checks} checks"
                ).' for this assignment. You can still hand in, and replace it until the due time.'
            ),
        );
    }
}
