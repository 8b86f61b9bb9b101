<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Actions\Release\HoldScript;
use App\Enums\ConversationFinding;
use App\Enums\WritingState;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Mail\WroteToYou;
use App\Models\ConversationEntry;
use App\Models\Script;
use App\Models\User;
use App\Queries\Screen\OverlapReading;
use App\Wording\WritingWords;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;

/**
 * Writes what a person found into a script's conversation record, with the figures as they stood. The result can be
 * held with it; nothing else follows from an entry, a mark least of all.
 */
final class RecordConversation
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly HoldScript $hold,
        private readonly OverlapReading $reading,
        private readonly StoreScreenings $screenings,
    ) {
    }

    /**
     * @param  int|null  $run  the run that was open, by its number
     * @param  bool  $hold  keep the result back meanwhile
     * @param  list<string>  $evidence  what is kept with it: overlap, writing
     * @param  bool  $studentSees  whether the student may read this entry
     *
     * @throws Refused
     */
    public function __invoke(
        Script $script, ConversationFinding $found, string $why, ?int $run, bool $hold, User $by,
        array $evidence = ['overlap'],
        string $questions = '', bool $studentSees = false,
    ): ConversationEntry {
        $handin = $script->currentHandin ?? throw new Refused('Nothing has been handed in for this script.');

        return DB::transaction(function () use (
            $script, $handin, $found, $why, $run, $hold, $by, $evidence, $questions, $studentSees,
        ): ConversationEntry {
            $entry = ConversationEntry::query()->create([
                'script_id' => $script->id, 'handin_id' => $handin->id, 'found' => $found, 'why' => $why,
                'held' => $hold, 'written_by' => $by->id,
                'seen' => $this->seen($script, $run, $evidence), 'questions' => $questions === '' ? null : $questions,
                'student_sees' => $studentSees,
            ]);
            ($this->screenings)([$script->id]);
            $by->coordinates($script->assignment->module_id) || ConversationEntry::letSee($script, $by, $by);
            $this->logbook->write(
                Entry::of(LogEvent::ConversationWritten)->on($script)
                    ->with(found: $found, held: $hold, student_sees: $studentSees)->by($by)
            );
            if ($hold && $script->held_reason === null) {
                ($this->hold)($script, 'Conversation record: '.$found->short().'.');
            }

            if ($studentSees) {
                Mail::to($script->student->email)->queue((new WroteToYou($script))->afterCommit());
            }

            return $entry;
        });
    }

    /**
     * @param  list<string>  $evidence
     * @return array<string, mixed>
     */
    private function seen(Script $script, ?int $run, array $evidence): array
    {
        $writing = in_array('writing', $evidence, true) && $script->assignment->writing_baseline_id !== null
            ? $script->currentHandin?->writing
            : null;

        return [
            ...(in_array('overlap', $evidence, true) ? $this->reading->evidence($script, $run) : []),
            ...($writing?->state === WritingState::Ready ? ['writing' => WritingWords::evidence($writing)] : []),
        ];
    }
}
