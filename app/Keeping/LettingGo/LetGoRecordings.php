<?php

declare(strict_types=1);

namespace App\Keeping\LettingGo;

use App\Keeping\Quotations;
use App\Models\Assignment;

/**
 * Voice, pictures and files that markers and observers kept with marks. Marks, comments and notes stand.
 */
final readonly class LetGoRecordings implements LettingGo
{
    public function isThere(): string
    {
        return 'EXISTS (SELECT 1 FROM mark_attachments a JOIN marks m ON m.id = a.mark_id WHERE m.script_id = scripts.id)'
            .' OR EXISTS (SELECT 1 FROM observation_files f JOIN marks m ON m.id = f.mark_id WHERE m.script_id = scripts.id)';
    }

    public function isWhole(): bool
    {
        return false;
    }

    public function __invoke(Assignment $assignment, array $scripts): Gone
    {
        $of = new OfScripts($scripts);
        $paths = $of->paths([
            ['mark_attachments', 'path', OfScripts::MARKS], ['observation_files', 'path', OfScripts::MARKS],
        ]);
        $gone = $of->delete([['mark_attachments', OfScripts::MARKS], ['observation_files', OfScripts::MARKS]]);
        Quotations::inDocuments($of->sql(OfScripts::SCRIPTS), [], self::without(...));

        return new Gone(['recordings' => array_sum($gone), 'files' => count($paths)], [...$paths, ...$of->drawnResults()]);
    }

    /** Documents of results and packs name recordings. */
    private static function without(mixed $value): mixed
    {
        if (! is_array($value)) {
            return $value;
        }
        foreach ($value as $key => $one) {
            $value[$key] = match (true) {
                in_array($key, ['attachments', 'evidence'], true) && is_array($one) => [],
                $key === 'recordings' && is_int($one) => 0,
                default => self::without($one),
            };
        }

        return $value;
    }
}
