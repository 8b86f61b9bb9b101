<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Actions\Collect\ExpectScripts;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use Illuminate\Support\Facades\DB;

/**
 * Opens an assignment to its students: from here on the rubric is frozen and each student has a script code.
 */
final class OpenAssignment
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly ExpectScripts $expectScripts,
    ) {
    }

    /**
     * @throws Refused
     */
    public function __invoke(Assignment $assignment): void
    {
        DB::transaction(function () use ($assignment): void {
            $stored = Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
            if ($stored->isPublished()) {
                throw new Refused('This assignment is open to students already.');
            }
            $missing = array_keys(array_filter([
                'a ready rubric' => $stored->rubric_version_id === null,
                'a brief' => trim($stored->brief) === '',
                'a due time' => $stored->due_at === null,
                'a topic' => $stored->isDiscussion() && ! $stored->topics()->exists(),
            ]));
            if ($missing !== []) {
                throw new Refused('Before students can see it, the assignment needs '.implode(' and ', $missing).'.');
            }
            // Without a time of its own it opens now: that is what extra time counts from.
            $stored->forceFill(
                [
                    // Whoever observes sees who it is.
                    'names_revealed_at' => $stored->isObserved() ? now() : null,
                    'published_at' => now(), 'opens_at' => $stored->opens_at ?? now()->startOfMinute(),
                    'lock_version' => $stored->lock_version + 1,
                ]
            )->save();
            $expected = ($this->expectScripts)($stored);
            $this->logbook->write(Entry::of(LogEvent::AssignmentOpened)->on($stored)->with(students: $expected));
        });
    }
}
