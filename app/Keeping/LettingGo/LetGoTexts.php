<?php

declare(strict_types=1);

namespace App\Keeping\LettingGo;

use App\Actions\Screen\TakeOffShelf;
use App\Keeping\Quotations;
use App\Models\Assignment;

/**
 * What students handed in, drafted, typed or posted. What was marked of it stands: that it came, when, how long it was,
 * its checksums, marks and comments without the words they stood at. What screening found in it goes too, being made of
 * its words.
 */
final readonly class LetGoTexts implements LettingGo
{
    public function __construct(private TakeOffShelf $shelf)
    {
    }

    public function isThere(): string
    {
        return 'EXISTS (SELECT 1 FROM handins h WHERE h.script_id = scripts.id AND h.erased_at IS NULL)'
            .' OR EXISTS (SELECT 1 FROM draft_checks d WHERE d.script_id = scripts.id)'
            .' OR EXISTS (SELECT 1 FROM typed_texts y WHERE y.script_id = scripts.id)'
            ." OR EXISTS (SELECT 1 FROM posts p WHERE p.script_id = scripts.id AND p.text <> '')";
    }

    public function isWhole(): bool
    {
        return false;
    }

    public function __invoke(Assignment $assignment, array $scripts): Gone
    {
        $of = new OfScripts($scripts);
        $paths = $of->paths([
            ['handin_files', 'path', OfScripts::HANDINS], ['handin_files', 'pages_path', OfScripts::HANDINS],
            ['handin_copies', 'path', OfScripts::HANDINS], ['post_files', 'path', OfScripts::POSTS],
        ]);
        $handins = $of->rows('handins', OfScripts::SCRIPTS)->whereNull('erased_at')->pluck('id')->map(intval(...))->all();
        ($this->shelf)($handins);
        $gone = $of->delete([
            ['first_feedback', OfScripts::SCRIPTS], ['draft_checks', OfScripts::SCRIPTS], ['typed_texts', OfScripts::SCRIPTS],
            ['handin_copies', OfScripts::HANDINS], ['writing_reports', OfScripts::HANDINS],
            ['post_versions', OfScripts::POSTS], ['post_files', OfScripts::POSTS],
        ]);
        $of->rows('handins', OfScripts::SCRIPTS)->whereNull('erased_at')->update([
            'erased_at' => now(), 'text' => '', 'html' => '', 'notes' => '[]', 'identity' => '[]', 'hidden' => null,
        ]);
        $of->rows('handin_files', OfScripts::HANDINS)->update([
            'original_name' => '', 'path' => '', 'pages_path' => null, 'unread' => null, 'link' => null,
        ]);
        $posts = $of->rows('posts', OfScripts::SCRIPTS)->where('text', '<>', '')
            ->update(['text' => '', 'html' => '', 'masked' => '', 'masked_text' => '']);
        Quotations::cut($of->sql(OfScripts::SCRIPTS), []);

        return new Gone(array_filter([
            'handins' => count($handins), 'posts' => $posts, 'drafts' => $gone['draft_checks'] ?? 0, 'files' => count($paths),
        ]), [...$paths, ...$of->drawnResults()]);
    }
}
