<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Models\OverlapReport;
use App\Models\OverlapSource;

/**
 * Takes hand-ins that no longer count off the shelves: their reports end, and reports that named them are worked out
 * without them.
 */
final class TakeOffShelf
{
    public function __construct(private readonly RemoveSources $remove)
    {
    }

    /**
     * @param  array<array-key, int>  $handinIds
     */
    public function __invoke(array $handinIds): void
    {
        OverlapReport::query()->whereIn('handin_id', $handinIds)->delete();
        ($this->remove)(OverlapSource::query()->whereIn('handin_id', $handinIds)->with('handin:id,text')->get()->all());
    }
}
