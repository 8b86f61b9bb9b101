<?php

declare(strict_types=1);

namespace App\Actions\Discuss;

use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Topic;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Closes a topic to students' posts before the discussion ends, or opens it again.
 */
final class CloseTopic
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    public function __invoke(Topic $topic, bool $closed, User $by): void
    {
        DB::transaction(function () use ($topic, $closed, $by): void {
            $stored = Topic::query()->with('assignment.module')->lockForUpdate()->findOrFail($topic->id);
            if (($stored->closed_at !== null) === $closed) {
                return;
            }
            $stored->update(['closed_at' => $closed ? now() : null]);
            $this->logbook->write(Entry::of($closed ? LogEvent::TopicClosed : LogEvent::TopicOpened)
                ->on($stored->assignment)->saying(title: $stored->title)->by($by));
        });
    }
}
