<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\MemberNote;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Takes a comment on a student's work as a whole back: the student no longer reads it, coordinators see that it was there.
 */
final class TakeMemberNoteBack
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    public function __invoke(MemberNote $note, User $by): void
    {
        DB::transaction(function () use ($note, $by): void {
            $stored = MemberNote::query()->with('membership.user', 'membership.module')->lockForUpdate()
                ->findOrFail($note->id);
            if ($stored->taken_back_at === null) {
                $stored->update(['taken_back_at' => now()]);
                $this->logbook->write(
                    Entry::of(LogEvent::MemberNoteTakenBack)->on($stored->membership->user)
                        ->in($stored->membership->module)
                        ->by($by),
                );
            }
        });
    }
}
