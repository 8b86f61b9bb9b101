<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Models\ConversationEntry;
use App\Models\Script;

/**
 * Keeps when a student first read what the conversation record says to them.
 */
final class NoteRecordRead
{
    public function __invoke(Script $script): void
    {
        ConversationEntry::query()->where('script_id', $script->id)->where('student_sees', true)
            ->whereNull('student_read_at')->update(['student_read_at' => now()]);
    }
}
