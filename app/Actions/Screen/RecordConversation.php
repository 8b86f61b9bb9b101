<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Actions\Release\HoldScript;
use App\Enums\Found;
use App\Exceptions\Refused;
use App\Logbook\Logbook;
use App\Models\ConversationEntry;
use App\Models\Script;
use App\Models\User;
use App\Support\OverlapReading;
use Illuminate\Support\Facades\DB;

/**
 * Writes what a person found into a script's conversation record, with the figures as they stood. The result can be held
 * with it; nothing else follows from an entry, a mark least of all.
 */
final class RecordConversation
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly HoldScript $hold,
        private readonly OverlapReading $reading,
    ) {
    }

    /**
     * @param  int|null  $run  the run that was open, by its number
     * @param  bool  $hold  keep the result back meanwhile
     *
     * @throws Refused
     */
    public function __invoke(Script $script, Found $found, string $why, ?int $run, bool $hold, User $by): ConversationEntry
    {
        $handin = $script->currentHandin ?? throw new Refused('Nothing has been handed in for this script.');

        return DB::transaction(function () use ($script, $handin, $found, $why, $run, $hold, $by): ConversationEntry {
            $entry = ConversationEntry::query()->create([
                'script_id' => $script->id, 'handin_id' => $handin->id, 'found' => $found, 'why' => $why, 'held' => $hold, 'written_by' => $by->id,
                'seen' => $this->reading->evidence($script, $run),
            ]);
            $this->logbook->write('wrote in the conversation record', $script->code, ['found' => $found->short(), 'held' => $hold], null, $script->assignment, $by);
            if ($hold && $script->held_reason === null) {
                ($this->hold)($script, 'Conversation record: '.$found->short().'.');
            }

            return $entry;
        });
    }
}
