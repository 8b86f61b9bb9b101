<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Models\OverlapMatch;
use App\Models\OverlapSource;
use YoungHarbor\Core\Overlap\Prints;
use YoungHarbor\Core\Overlap\SourceIndex;
use YoungHarbor\Core\Text\Words;

/**
 * Takes texts out of what scripts are compared with; reports that named them are worked out without them.
 */
final class RemoveSources
{
    public function __construct(
        private readonly SourceIndex $index,
        private readonly RecountReport $recount,
    ) {
    }

    /**
     * @param  array<array-key, OverlapSource>  $sources
     */
    public function __invoke(array $sources): void
    {
        foreach ($sources as $source) {
            $this->index->remove(
                (int) $source->shelf, $source->id, Prints::possible(Words::of($source->fullText())->normalForms()),
            );
            $reports = OverlapMatch::query()->where('overlap_source_id', $source->id)->pluck('overlap_report_id');
            $source->delete();
            $reports->each(fn (int $id) => ($this->recount)($id));
        }
    }
}
