<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Mark;
use Illuminate\Database\Eloquent\Builder;

/**
 * A marker's way through their scripts of one assignment, in the order of the marks' random ids, so that the order
 * tells nothing. Each step is a fixed number of queries, however long the queue is.
 */
final class DeskQueue
{
    /**
     * @return array{place: int, all: int, open: int, previous: Mark|null, next: Mark|null}
     */
    public function around(Mark $mark): array
    {
        $counts = $this->queue($mark)->selectRaw('COUNT(*) AS every, SUM(done_at IS NULL) AS open, SUM(public_id <= ?) AS place', [$mark->public_id])->toBase()->sole();

        return [
            'place' => (int) $counts->place,
            'all' => (int) $counts->every,
            'open' => (int) $counts->open,
            'previous' => $this->queue($mark)->where('public_id', '<', $mark->public_id)->orderByDesc('public_id')->first(['id', 'public_id']),
            'next' => $this->queue($mark)->where('public_id', '>', $mark->public_id)->orderBy('public_id')->first(['id', 'public_id']),
        ];
    }

    /** The next script that is not done, beginning again at the first after the last. */
    public function nextOpen(Mark $mark): ?Mark
    {
        return $this->queue($mark)->whereNull('done_at')->whereKeyNot($mark->id)
            ->orderByRaw('public_id < ?', [$mark->public_id])->orderBy('public_id')->first();
    }

    /**
     * @return Builder<Mark>
     */
    private function queue(Mark $mark): Builder
    {
        return Mark::query()->where('marker_id', $mark->marker_id)
            ->whereIn('script_id', fn ($query) => $query->select('id')->from('scripts')->where('assignment_id', $mark->script->assignment_id));
    }
}
