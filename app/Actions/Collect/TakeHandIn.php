<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Exceptions\Refused;
use App\Extraction\Cleaner;
use App\Extraction\Extracted;
use App\Extraction\Reader;
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
use YoungHarbor\Core\Text\Mask;

/**
 * Takes a student's work in: reads it, keeps the original sealed, and gives a receipt.
 *
 * The time that counts is when the upload arrived, not when reading it ended. Every attempt is kept.
 */
final class TakeHandIn
{
    public function __construct(
        private readonly Reader $reader,
        private readonly Cleaner $cleaner,
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
        $pieces = $this->pieces($assignment, is_array($work) ? $work : [$work]);
        $extracted = $this->together($pieces);
        $mates = $this->matesOf($assignment, $student);
        [$html, $text, $hidden] = $this->masked($extracted, [$student, ...$mates]);
        $notes = $extracted->notes;
        if ($hidden > 0) {
            $whose = $mates === [] ? 'Your name or number stands' : 'Names or numbers of your group stand';
            $notes[] = "{$whose} in the text ".($hidden === 1 ? 'once' : "{$hidden} times").'; markers see “'.Mask::SHOWN.'” there.';
        }
        $sums = array_map(fn (array $piece) => hash('sha256', $piece['bytes']), $pieces);
        $paths = array_map(fn () => 'handins/'.Str::uuid()->toString(), $pieces);
        foreach ($pieces as $n => $piece) {
            Storage::put($paths[$n], $piece['bytes']);
        }
        try {
            return DB::transaction(function () use ($assignment, $student, $mates, $received, $pieces, $paths, $sums, $html, $text, $notes): Handin {
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
                        'words' => array_sum(array_map(fn (array $piece) => $piece['read']->words, $pieces)),
                        'text' => $text,
                        'html' => $html,
                        'notes' => $notes,
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
     * Reads each file, or refuses all with the name of the one that cannot be taken.
     *
     * @param  array<UploadedFile|string>  $works
     * @return non-empty-list<array{name: string, bytes: string, read: Extracted}>
     *
     * @throws Refusal
     */
    private function pieces(Assignment $assignment, array $works): array
    {
        if (count($works) > $assignment->max_files) {
            throw new Refusal('This assignment takes '.($assignment->max_files === 1 ? 'one file' : "{$assignment->max_files} files at most").'; you chose '.count($works).'.');
        }
        $pieces = [];
        foreach ($works as $work) {
            $name = $work instanceof UploadedFile ? $this->safeName($work->getClientOriginalName()) : 'typed here.txt';
            try {
                $pieces[] = $this->piece($assignment, $work, $name);
            } catch (Refusal $e) {
                throw count($works) === 1 ? $e : new Refusal("{$name}: {$e->getMessage()}");
            }
        }

        return $pieces === [] ? throw new Refusal('Choose a file, or type your text.') : $pieces;
    }

    /**
     * @return array{name: string, bytes: string, read: Extracted}
     *
     * @throws Refusal
     */
    private function piece(Assignment $assignment, UploadedFile|string $work, string $name): array
    {
        $bytes = $work instanceof UploadedFile ? (string) file_get_contents($work->getRealPath()) : $work;
        if (! $work instanceof UploadedFile && ! $assignment->takesTyped()) {
            throw new Refusal("This assignment does not take typed text. Hand in a file: {$assignment->kindsInWords()}.");
        }
        if (strlen($bytes) > $assignment->max_megabytes * 1_048_576) {
            throw new Refusal("This file is larger than the {$assignment->max_megabytes} MB this assignment takes.");
        }
        $read = $work instanceof UploadedFile ? $this->reader->read($work->getRealPath(), $name) : $this->reader->typed($work);
        if ($work instanceof UploadedFile && ! in_array($read->kind, $assignment->fileKinds(), true)) {
            throw new Refusal("This file is a {$read->kind->label()}, which this assignment does not take. Hand in {$assignment->kindsInWords()}.");
        }

        return ['name' => $name, 'bytes' => $bytes, 'read' => $read];
    }

    /**
     * Several files as one script, in their order; markers see numbers and never file names, which often carry a name.
     *
     * @param  non-empty-list<array{name: string, bytes: string, read: Extracted}>  $pieces
     */
    private function together(array $pieces): Extracted
    {
        if (count($pieces) === 1) {
            return $pieces[0]['read'];
        }
        $html = $text = '';
        $notes = [];
        foreach ($pieces as $n => $piece) {
            $number = $n + 1;
            $html .= "<h2>File {$number}</h2>\n{$piece['read']->html}\n";
            $text .= ($n === 0 ? '' : "\n\n").$piece['read']->text;
            array_push($notes, ...array_map(fn (string $note) => "File {$number}: {$note}", $piece['read']->notes));
        }

        return new Extracted($pieces[0]['read']->kind, $html, $text, array_sum(array_map(fn (array $piece) => $piece['read']->words, $pieces)), $notes);
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

    /**
     * @param  list<User>  $authors
     * @return array{string, string, int}
     */
    private function masked(Extracted $extracted, array $authors): array
    {
        [$html, $text] = [$extracted->html, $extracted->text];
        $hidden = 0;
        foreach ($authors as $author) {
            $mask = new Mask($author->name, $author->number, $author->email);
            $inText = $inHtml = 0;
            $text = $mask->hide($text, $inText);
            $html = $this->cleaner->mask($html, $mask, $inHtml);
            $hidden += max($inText, $inHtml);
        }

        return [$html, $text, $hidden];
    }

    /** A file's name is shown back to its student only; control characters and paths have no place in it. */
    private function safeName(string $name): string
    {
        $name = (string) preg_replace('/[\p{Cc}\p{Cf}]+/u', '', mb_scrub(basename(str_replace('\\', '/', $name))));

        return mb_substr($name === '' ? 'file' : $name, -200);
    }
}
