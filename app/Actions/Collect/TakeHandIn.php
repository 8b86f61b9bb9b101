<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Exceptions\Refused;
use App\Extraction\Refusal;
use App\Jobs\CompareHandin;
use App\Logbook\Logbook;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\OverlapReport;
use App\Models\Script;
use App\Models\User;
use App\Support\Clock;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/**
 * Takes a student's work in: reads it, keeps the original sealed, and gives a receipt.
 *
 * The time that counts is when the upload arrived, not when reading it ended. Every attempt is kept.
 */
final class TakeHandIn
{
    public function __construct(
        private readonly ReadWork $read,
        private readonly Logbook $logbook,
    ) {
    }

    /**
     * @param  UploadedFile|string|list<UploadedFile>  $work  a file, several files in their order, or text that was typed
     *
     * @throws Refused when the assignment does not take it now
     * @throws Refusal when a file cannot be taken; then none is
     */
    public function __invoke(Assignment $assignment, User $student, UploadedFile|string|array $work): Handin
    {
        $received = now()->startOfSecond();
        $this->refuseOutOfTime($assignment, $this->scriptOf($assignment, $student));
        $mates = $this->matesOf($assignment, $student);
        $work = ($this->read)($assignment, [$student, ...$mates], is_array($work) ? $work : [$work]);
        $pieces = $work->pieces;
        $sums = array_map(fn (array $piece) => hash('sha256', $piece['bytes']), $pieces);
        $paths = array_map(fn () => 'handins/'.Str::uuid()->toString(), $pieces);
        foreach ($pieces as $n => $piece) {
            Storage::put($paths[$n], $piece['bytes']);
        }
        try {
            return DB::transaction(function () use ($assignment, $student, $mates, $received, $work, $pieces, $paths, $sums): Handin {
                // One at a time for the whole group, in the same order whoever of them hands in.
                $scripts = Script::query()->where('assignment_id', $assignment->id)->whereIn('student_id', array_map(fn (User $member) => $member->id, [$student, ...$mates]))->orderBy('id')->lockForUpdate()->get();
                $own = null;
                foreach ($scripts as $script) {
                    $this->refuseOutOfTime($assignment, $script);
                    $handin = $script->handins()->create([
                        'attempt' => (int) $script->handins()->max('attempt') + 1,
                        'handed_in_by' => $student->id,
                        'bytes' => array_sum(array_map(fn (array $piece) => strlen($piece['bytes']), $pieces)),
                        'sha256' => count($sums) === 1 ? $sums[0] : hash('sha256', implode("\n", $sums)."\n"),
                        'words' => $work->words,
                        'text' => $work->text,
                        'html' => $work->html,
                        'notes' => $work->notes,
                        'due_at' => $assignment->due_at,
                        'late' => $received->gt($assignment->due_at),
                        'received_at' => $received,
                    ]);
                    foreach ($pieces as $n => $piece) {
                        $handin->files()->create([
                            'position' => $n + 1, 'kind' => $piece['read']->kind->value, 'original_name' => $piece['name'], 'path' => $paths[$n],
                            'bytes' => strlen($piece['bytes']), 'sha256' => $sums[$n], 'words' => $piece['read']->words,
                        ]);
                    }
                    $script->update(['current_handin_id' => $handin->id]);
                    $own = $script->student_id === $student->id ? $handin : $own;
                    // With one mark a group, one of its scripts is compared for all.
                    if ($script->lead_id === null) {
                        OverlapReport::query()->create(['handin_id' => $handin->id]);
                        CompareHandin::dispatch($handin->id)->afterCommit();
                    }
                }
                assert($own instanceof Handin);
                // A line about a person carries no script code.
                $this->logbook->write('handed in', $assignment->title, ['attempt' => $own->attempt, 'files' => count($pieces), 'sha256' => $own->sha256, 'late' => $own->late] + ($mates === [] ? [] : ['for' => count($mates) + 1]), null, $assignment, $student);

                return $own;
            });
        } catch (\Throwable $e) {
            Storage::delete($paths);
            throw $e;
        }
    }

    /**
     * The other members of the student's group; none when each hands in alone.
     *
     * @return list<User>
     */
    private function matesOf(Assignment $assignment, User $student): array
    {
        $script = $this->scriptOf($assignment, $student);

        return ! $assignment->handin_by->isGroup() || $script->group_name === null ? []
            : array_values($script->group()->where('student_id', '<>', $student->id)->map(fn (Script $mate) => $mate->student)->all());
    }

    private function scriptOf(Assignment $assignment, User $student): Script
    {
        return Script::query()->where('assignment_id', $assignment->id)->where('student_id', $student->id)->first()
            ?? throw new Refused('You are not on the list for this assignment. Ask your module coordinator to add you.');
    }

    private function refuseOutOfTime(Assignment $assignment, Script $script): void
    {
        if (! $assignment->takesHandIns()) {
            throw new Refused($assignment->closes_at?->isPast()
                ? 'This assignment closed on '.Clock::shown($assignment->closes_at).'. Nothing can be handed in now; write to your module coordinator.'
                : 'This assignment is not open yet.');
        }
        if ($script->current_handin_id !== null && $assignment->isPastDue()) {
            throw new Refused('The due time has passed, so what you handed in before counts and cannot be replaced. It is safe; your receipt is below.');
        }
    }
}
