<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Documents\HandinCopies;
use App\Extraction\AuthorTraces;
use App\Extraction\Child;
use App\Extraction\FileKind;
use App\Extraction\HtmlTree;
use App\Extraction\Pages\PageMaker;
use App\Extraction\PictureLooker;
use App\Extraction\Refusal;
use App\Handins\WorkReader;
use App\Models\Handin;
use App\Models\HandinFile;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use YoungHarbor\Core\Document\Html;
use YoungHarbor\Core\Document\Node;
use YoungHarbor\Core\Names\PictureNames;

/**
 * Makes what takes too long while a student waits: the pages of PDFs drawn anew without names, and pictures looked
 * through for names.
 */
final class PrepareForMarkers
{
    private const MOST_PICTURES = 15;

    public function __construct(
        private readonly PageMaker $pages,
        private readonly PictureLooker $looker,
        private readonly HtmlTree $tree,
        private readonly HandinCopies $copies,
    ) {
    }

    public function __invoke(Handin $handin): void
    {
        $authors = $handin->script->assignment->handin_by->isGroup()
            ? $handin->script->group()->map(fn (Script $script) => $script->student)
            : collect([$handin->script->student]);
        $authors = array_values($authors->all());
        $seen = PictureNames::of(
            array_merge(...array_map(fn (User $author) => $author->namings(), $authors)),
        );
        $findings = new AuthorTraces($handin->identity);
        $findings->forget(AuthorTraces::PAGES);
        $findings->forget(AuthorTraces::PICTURES);
        $failure = null;
        foreach ($handin->files as $file) {
            if ($file->kind === FileKind::Pdf->value) {
                $failure = $this->draw($handin, $file, $authors, $seen, $findings) ?? $failure;
            }
        }
        [$html, $unread] = $this->look($handin, $authors, $seen, $findings);
        $failure ??= $unread === 0
            ? null
            : (
                $unread === 1 ? 'A picture in it' : "{$unread} pictures in it"
            ).' could not be looked through for names.';
        $this->copies->forget($handin);
        DB::transaction(
            fn () => Handin::query()->whereKey($handin->id)->lockForUpdate()->sole()
                ->update(
                    [
                        'html' => $html, 'identity' => $findings->all(), 'prepared_at' => now(),
                        'prepare_failure' => $failure,
                    ]
                )
        );
        $handin->refresh();
    }

    /**
     * @param  list<User>  $authors
     * @return string|null why it could not be
     */
    private function draw(
        Handin $handin, HandinFile $file, array $authors, PictureNames $seen, AuthorTraces $findings,
    ): ?string {
        $path = 'pages/'.Str::uuid()->toString();
        Storage::makeDirectory('pages');
        try {
            $made = $this->pages->make(
                Storage::path($file->path), Storage::path($path), WorkReader::masks($authors), $seen,
                $handin->alone === DecideAlone::HIDDEN,
            );
        } catch (Refusal $e) {
            $file->update(['pages_path' => null, 'pages' => null, 'unread' => null]);

            return 'File '.$file->position.': '.$e->getMessage();
        }
        touch(Storage::path($path), Child::DATED);
        $before = $file->pages_path;
        $file->update(
            ['pages_path' => $path, 'pages' => $made->pages, 'unread' => $made->unread === [] ? null : $made->unread]
        );
        $before === null || Storage::delete($before);
        $findings->add(AuthorTraces::PAGES, AuthorTraces::HIDDEN, $made->covered);

        return null;
    }

    /**
     * @param  list<User>  $authors
     * @return array{string, int} the text with its pictures, and how many of them could not be read
     */
    private function look(Handin $handin, array $authors, PictureNames $seen, AuthorTraces $findings): array
    {
        if (! str_contains($handin->html, '<img ')) {
            return [$handin->html, 0];
        }
        $masks = WorkReader::masks($authors);
        $looked = $unread = $covered = 0;
        $document = $this->tree->ofOurs($handin->html)->map(function (Node|string $part) use (
            $masks, $seen, &$looked, &$unread, &$covered,
        ): Node|string {
            if (is_string($part) || $part->picture === null) {
                return $part;
            }
            $result = $looked++ < self::MOST_PICTURES ? $this->looker->look($part->picture, $masks, $seen) : null;
            $unread += $result === null ? 1 : 0;
            $covered += $result[1] ?? 0;

            return $result === null ? $part : Node::picture($result[0]);
        });
        $findings->add(AuthorTraces::PICTURES, AuthorTraces::HIDDEN, $covered);

        return [$covered === 0 ? $handin->html : Html::ofText($document), $unread];
    }
}
