<?php

declare(strict_types=1);

namespace App\Keeping\LettingGo;

use App\Models\Assignment;
use App\Models\Notice;

/**
 * What was asked and answered about work: the words of records about findings, replies on results, what markers wrote
 * to each other while settling. That a finding was looked at stays known.
 */
final readonly class LetGoConversations implements LettingGo
{
    public function isThere(): string
    {
        return "EXISTS (SELECT 1 FROM conversation_entries e WHERE e.script_id = scripts.id AND e.why <> '')"
            .' OR EXISTS (SELECT 1 FROM reply_threads t WHERE t.script_id = scripts.id)'
            .' OR EXISTS (SELECT 1 FROM settle_messages g WHERE g.script_id = scripts.id)';
    }

    public function isWhole(): bool
    {
        return false;
    }

    public function __invoke(Assignment $assignment, array $scripts): Gone
    {
        $of = new OfScripts($scripts);
        $paths = $of->paths([['replies', 'file_path', OfScripts::THREADS]]);
        $entries = $of->rows('conversation_entries', OfScripts::SCRIPTS)->where('why', '<>', '')
            ->update(['why' => '', 'questions' => '', 'seen' => '[]']);
        $this->notices($of);
        $gone = $of->delete([
            ['conversation_people', OfScripts::SCRIPTS], ['reply_readings', OfScripts::THREADS], ['replies', OfScripts::THREADS],
            ['reply_threads', OfScripts::SCRIPTS], ['settle_messages', OfScripts::SCRIPTS],
        ]);

        return new Gone(array_filter([
            'entries' => $entries + ($gone['replies'] ?? 0) + ($gone['settle_messages'] ?? 0), 'files' => count($paths),
        ]), $paths);
    }

    /** Those that lead to what is gone. */
    private function notices(OfScripts $of): void
    {
        $threads = $of->rows('reply_threads', OfScripts::SCRIPTS)->pluck('public_id')->map(strval(...));
        foreach ($threads->chunk(500) as $some) {
            Notice::query()->whereIn('link', $some->map(fn (string $id) => route('replies.show', $id, false)))->delete();
        }
        foreach ($of->rows('results', OfScripts::SCRIPTS)->pluck('public_id') as $result) {
            Notice::query()->whereLike('link', route('results.show', $result, false).'#thread-%')->delete();
        }
    }
}
