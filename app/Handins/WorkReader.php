<?php

declare(strict_types=1);

namespace App\Handins;

use App\Extraction\AuthorTraces;
use App\Extraction\FileKind;
use App\Extraction\Reader;
use App\Extraction\Refusal;
use App\Models\Assignment;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use YoungHarbor\Core\Collect\WebLink;
use YoungHarbor\Core\Document\Document;
use YoungHarbor\Core\Document\Html;
use YoungHarbor\Core\Document\Masking;
use YoungHarbor\Core\Document\Node;
use YoungHarbor\Core\Document\NodeKind;
use YoungHarbor\Core\Names\Mask;

/**
 * Takes what a student sends, as the assignment takes it, and reads it: the same for work that counts and for a draft.
 * Taking is quick and done while the student waits; reading is the worker's.
 */
final class WorkReader
{
    public function __construct(private readonly Reader $reader)
    {
    }

    /**
     * Tells the kind of each, or refuses all with the name of the one that cannot be taken.
     *
     * @param  array<UploadedFile|string|WebLink>  $works  files in their order, or one text that was typed, or links
     * @return non-empty-list<UploadedPiece>
     *
     * @throws Refusal when one cannot be taken; then none is
     */
    public function take(Assignment $assignment, array $works): array
    {
        if (count($works) > $assignment->max_files) {
            throw new Refusal(
                'This assignment takes '.(
                    $assignment->max_files === 1 ? 'one file' : "{$assignment->max_files} files at most"
                ).'; you chose '.count($works).'.'
            );
        }
        $pieces = [];
        foreach ($works as $work) {
            $name = $work instanceof UploadedFile ? self::safeName($work->getClientOriginalName()) : 'typed here.txt';
            try {
                $pieces[] = $work instanceof WebLink
                    ? $this->link($assignment, $work)
                    : $this->piece($assignment, $work, $name);
            } catch (Refusal $e) {
                throw count($works) === 1 ? $e : new Refusal("{$name}: {$e->getMessage()}");
            }
        }

        return $pieces === [] ? throw new Refusal('Choose a file, or type your text.') : $pieces;
    }

    /**
     * @param  list<User>  $authors  whose names, numbers and mail addresses are masked
     * @param  non-empty-list<KeptPiece>  $kept
     * @param  callable(int): void  $read  told after each file how many are read
     *
     * @throws Refusal when one cannot be read
     */
    public function read(array $authors, array $kept, callable $read): ReadPieces
    {
        $findings = new AuthorTraces;
        $masks = self::masks($authors);
        $pieces = [];
        foreach ($kept as $n => $one) {
            try {
                $pieces[] = $this->piecesWords($one, $masks, $findings);
            } catch (Refusal $e) {
                // A file beside a post takes nothing from what was written.
                $pieces[] = $n > 0 && $kept[0]->kind === FileKind::Posts
                    ? $this->unreadBesidePosts($one, $e)
                    : throw (count($kept) === 1 ? $e : new Refusal("{$one->name}: {$e->getMessage()}"));
            }
            $read($n + 1);
        }
        $html = Html::ofText(self::together($pieces));
        $text = implode("\n\n", array_map(fn (ReadPiece $piece) => $piece->text(), $pieces));

        return new ReadPieces(
            $pieces, $html, $text, array_sum(array_map(fn (ReadPiece $piece) => $piece->words, $pieces)),
            [...$this->notes($pieces), ...$this->told($findings, count($authors))], $findings->all(),
            array_merge(...array_map(fn (ReadPiece $piece) => $piece->hidden, $pieces)),
        );
    }

    /**
     * Several files as one text. Markers see numbers and never file names, which often carry a name.
     *
     * @param  non-empty-list<ReadPiece>  $pieces
     */
    private static function together(array $pieces): Document
    {
        $documents = [];
        foreach ($pieces as $n => $piece) {
            $documents[match (true) {
                $pieces[0]->kind !== FileKind::Posts => 'File '.($n + 1),
                $n === 0 => __('discuss.frozen.written'),
                default => __('discuss.frozen.attached', ['number' => $n]),
            }] = $piece->document;
        }

        return count($pieces) === 1 ? $pieces[0]->document : Document::together($documents);
    }

    private function unreadBesidePosts(KeptPiece $one, Refusal $why): ReadPiece
    {
        return new ReadPiece($one->name, $one->kind, Document::of([Node::of(NodeKind::Around, [
            Node::of(NodeKind::Paragraph, [__('discuss.frozen.unread')]),
        ])]), 0, [__('discuss.frozen.unread_note', ['name' => $one->name, 'why' => $why->getMessage()])]);
    }

    /**
     * What a student is told of names in their work.
     *
     * @return list<string>
     */
    private function told(AuthorTraces $findings, int $authors): array
    {
        $whose = $authors === 1 ? 'Your name or number' : 'Names or numbers of your group';
        $times = fn (string $place): string => $findings->times($place) === 1
            ? 'once'
            : $findings->times($place).' times';
        $hidden = $findings->times(AuthorTraces::TEXT);
        $alone = $findings->times(AuthorTraces::ALONE);

        return array_values(array_filter([
            $hidden === 0
                ? ''
                : $whose.($authors === 1 ? ' stands' : ' stand')." in the text {$times(AuthorTraces::TEXT)}; markers see “"
                    .Mask::SHOWN.'” there.',
            $findings->times(AuthorTraces::HEADS) === 0
                ? ''
                : "{$whose} at the top or foot of pages ".($authors === 1 ? 'is' : 'are')
                    .' taken out of what markers get.',
            $findings->times(AuthorTraces::ADDRESSES) === 0
                ? ''
                : 'Addresses of links that name you are taken out of what markers get; the words stay.',
            $findings->times(AuthorTraces::FILE_NAME) === 0 ? '' : 'The name of the file names you; markers do not see it.',
            $alone === 0
                ? ''
                : 'A family name as yours stands alone '.$times(AuthorTraces::ALONE)
                    .', as that of a source would, and is left as it is. If you mean yourself there, write “the author” and hand in again.',
        ], fn (string $note) => $note !== ''));
    }

    /**
     * @param  iterable<User>  $authors
     * @return list<Mask> of what names them, and of what did before
     */
    public static function masks(iterable $authors): array
    {
        $masks = [];
        foreach ($authors as $author) {
            foreach ($author->namings() as $naming) {
                $masks[] = new Mask($naming['name'], $naming['number'], $naming['email']);
            }
        }

        return $masks;
    }

    /**
     * @throws Refusal
     */
    private function piece(Assignment $assignment, UploadedFile|string $work, string $name): UploadedPiece
    {
        if (! $work instanceof UploadedFile && ! $assignment->takesTyped()) {
            throw new Refusal(
                "This assignment does not take typed text. Hand in a file: {$assignment->kindsInWords()}."
            );
        }
        $piece = new UploadedPiece(
            $name, $work instanceof UploadedFile ? $this->reader->kind($work->getRealPath(), $name) : FileKind::Text,
            $work,
        );
        if ($piece->bytes() > $assignment->max_megabytes * 1_048_576) {
            throw new Refusal("This file is larger than the {$assignment->max_megabytes} MB this assignment takes.");
        }
        if (is_string($work) && trim($work) === '') {
            throw new Refusal('Choose a file, or type your text.');
        }
        if ($work instanceof UploadedFile && ! in_array($piece->kind, $assignment->fileKinds(), true)) {
            throw new Refusal(
                "This file is a {$piece->kind->label()}, which this assignment does not take. Hand in {$assignment->kindsInWords()}."
            );
        }

        return $piece;
    }

    /**
     * @param  list<Mask>  $masks
     *
     * @throws Refusal
     */
    private function piecesWords(KeptPiece $kept, array $masks, AuthorTraces $findings): ReadPiece
    {
        if ($kept->link !== null) {
            return new ReadPiece($kept->name, FileKind::Link, Document::ofText(
                'A link was handed in: open it above.'
            ), 0,
                [
                    'Nothing is fetched from a link: markers open the page as it is when they mark, and overlap is not looked for in it. Leave it as it is, and open to whoever has the address, until your result is out.',
                ], link: $kept->link);
        }
        $read = $this->reader->readAs($kept->kind, $kept->path, $kept->name);
        $masking = Masking::of($read->document, $masks);
        $findings->addMasking($masking);
        if (array_filter($masks, fn (Mask $mask) => $mask->namesFile($kept->name)) !== []) {
            $findings->add(AuthorTraces::FILE_NAME, AuthorTraces::TAKEN_OUT);
        }

        return new ReadPiece(
            $kept->name, $kept->kind, $masking->document, $read->words, $read->notes,
            hidden: $this->masked($read->hidden, $masks),
        );
    }

    /**
     * @param  list<array{kind: string, words?: string, note?: string}>  $hidden
     * @param  list<Mask>  $masks
     * @return list<array{kind: string, words?: string, note?: string}>
     */
    private function masked(array $hidden, array $masks): array
    {
        $times = 0;

        return array_map(fn (array $one) => isset($one['words'])
            ? ['words' => Mask::hideAll($masks, $one['words'], $times, true)] + $one
            : $one, $hidden);
    }

    /**
     * @throws Refusal
     */
    private function link(Assignment $assignment, WebLink $link): UploadedPiece
    {
        if (! $assignment->takesLinks()) {
            throw new Refusal("This assignment does not take links. Hand in {$assignment->kindsInWords()}.");
        }

        return new UploadedPiece($link->address, FileKind::Link, $link->address, $link->address);
    }

    /**
     * @param  non-empty-list<ReadPiece>  $pieces
     * @return list<string>
     */
    private function notes(array $pieces): array
    {
        $notes = [];
        foreach ($pieces as $n => $piece) {
            foreach ($piece->notes as $note) {
                $notes[] = count($pieces) === 1 ? $note : 'File '.($n + 1).": {$note}";
            }
        }

        return $notes;
    }

    /** A file's name is shown back to its student only; control characters and paths have no place in it. */
    public static function safeName(string $name): string
    {
        $name = (string) preg_replace('/[\p{Cc}\p{Cf}]+/u', '', mb_scrub(basename(str_replace('\\', '/', $name))));

        return mb_substr($name === '' ? 'file' : $name, -200);
    }
}
