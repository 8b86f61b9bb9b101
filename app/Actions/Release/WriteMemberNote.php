<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Enums\NoticeKind;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\MemberNote;
use App\Models\Membership;
use App\Models\User;
use App\Notices\NewNotice;
use App\Notices\Notices;
use Illuminate\Support\Facades\DB;

/**
 * A coordinator comments on a student's work in a module as a whole: to the student, or among coordinators.
 */
final class WriteMemberNote
{
    public function __construct(private readonly Logbook $logbook, private readonly Notices $notices)
    {
    }

    public function __invoke(Membership $member, string $body, bool $studentReads, User $by): MemberNote
    {
        return DB::transaction(function () use ($member, $body, $studentReads, $by): MemberNote {
            $note = MemberNote::query()->create([
                'membership_id' => $member->id, 'body' => $body, 'student_reads' => $studentReads, 'author_id' => $by->id,
            ]);
            $this->logbook->write(
                Entry::of(LogEvent::MemberNoteWritten)->on($member->user)->in($member->module)->by($by),
            );
            $values = ['module' => $member->module->fullTitle(), 'name' => $member->user->name];
            $studentReads && $this->notices->make([new NewNotice(
                $member->user, NoticeKind::MemberNote, "note:{$note->public_id}", (string) __('notices.note', $values),
                route('modules.show', $member->module, false).'#notes', null, (string) __('notices.note_subject', $values),
                (string) __('notices.note_body', $values + ['link' => route('modules.show', $member->module).'#notes']),
            )]);

            return $note;
        });
    }
}
