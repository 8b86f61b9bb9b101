<?php

declare(strict_types=1);

namespace App\Documents;

use App\Extraction\Child;
use App\Extraction\CopyKind;
use App\Extraction\CopyWriter;
use App\Extraction\HtmlTree;
use App\Models\Handin;
use App\Models\HandinCopy;
use App\Models\HandinFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/**
 * Files to take away: made from the text as markers read it when they are first asked for, and kept.
 */
final class HandinCopies
{
    public function __construct(
        private readonly HtmlTree $tree,
        private readonly CopyWriter $writer,
    ) {
    }

    /**
     * What an attempt can be taken away as. One that is a single PDF has its pages as PDF.
     *
     * @return list<CopyKind>
     */
    public function kinds(Handin $handin): array
    {
        $pages = $this->pagesOf($handin);
        $set = $pages === null ? $handin->settable : $pages->pages_path !== null;

        return array_values(
            array_filter(
                CopyKind::cases(),
                fn (CopyKind $kind) => $handin->words > 0 && ! $handin->isErased() && ($kind !== CopyKind::Pdf || $set),
            )
        );
    }

    /** Where the file is kept. */
    public function path(Handin $handin, CopyKind $kind): string
    {
        $pages = $kind === CopyKind::Pdf ? $this->pagesOf($handin)?->pages_path : null;
        $kept = $pages ?? HandinCopy::query()->where('handin_id', $handin->id)->where('kind', $kind->value)
            ->value('path');
        if (is_string($kept) && Storage::exists($kept)) {
            return $kept;
        }
        $path = 'copies/'.Str::uuid()->toString();
        Storage::put($path, $this->writer->write($this->tree->ofOurs($handin->html), $kind));
        // Nothing about a copy tells when it was made.
        touch(Storage::path($path), Child::DATED);
        HandinCopy::query()->updateOrInsert(['handin_id' => $handin->id, 'kind' => $kind->value], ['path' => $path]);

        return $path;
    }

    /** What was made from a text that has changed goes. */
    public function forget(Handin $handin): void
    {
        $paths = HandinCopy::query()->where('handin_id', $handin->id)->pluck('path')->all();
        HandinCopy::query()->where('handin_id', $handin->id)->delete();
        Storage::delete($paths);
    }

    private function pagesOf(Handin $handin): ?HandinFile
    {
        $file = $handin->files->count() === 1 ? $handin->files->first() : null;

        return $file?->kind === CopyKind::Pdf->value ? $file : null;
    }
}
