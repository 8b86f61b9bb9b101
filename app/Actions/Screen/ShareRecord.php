<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\ConversationEntry;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Lets someone on the staff see the conversation record of a script.
 */
final class ShareRecord
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    public function __invoke(Script $script, User $person, User $by): void
    {
        DB::transaction(function () use ($script, $person, $by): void {
            ConversationEntry::letSee($script, $person, $by);
            $this->logbook->write(Entry::of(LogEvent::ConversationShared)->on($script)->with(who: $person)->by($by));
        });
    }
}
