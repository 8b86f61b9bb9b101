<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Extraction\Cleaner;
use App\Extraction\Extracted;
use App\Extraction\Reader;
use App\Extraction\Refusal;
use App\Models\Assignment;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use YoungHarbor\Core\Text\Mask;

/**
 * Reads what a student sends, as the assignment takes it: the same for work that counts and for a draft.
 */
final class ReadWork
{
    public function __construct(
        private readonly Reader $reader,
        private readonly Cleaner $cleaner,
    ) {
    }

    /**
     * @param  list<User>  $authors  whose names, numbers and mail addresses are masked
     * @param  array<UploadedFile|string>  $works  files in their order, or one text that was typed
     *
     * @throws Refusal when a file cannot be taken; then none is
     */
    public function __invoke(Assignment $assignment, array $authors, array $works): WorkRead
    {
        $pieces = $this->pieces($assignment, $works);
        $extracted = $this->together($pieces);
        [$html, $text, $hidden] = $this->masked($extracted, $authors);
        $notes = $extracted->notes;
        if ($hidden > 0) {
            $whose = count($authors) === 1 ? 'Your name or number stands' : 'Names or numbers of your group stand';
            $notes[] = "{$whose} in the text ".($hidden === 1 ? 'once' : "{$hidden} times").'; markers see “'.Mask::SHOWN.'” there.';
        }

        return new WorkRead($pieces, $html, $text, $extracted->words, $notes);
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
