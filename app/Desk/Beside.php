<?php

declare(strict_types=1);

namespace App\Desk;

use App\Models\Mark;
use Illuminate\Database\Eloquent\Collection;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SecondView;

/**
 * The one place that says which other marks someone sees while they mark.
 */
final class Beside
{
    /**
     * Finished marks of the same script that its marker sees beside their own; none where they mark blind.
     *
     * @return Collection<int, Mark>
     */
    public static function of(Mark $mark): Collection
    {
        $seats = self::seats($mark);

        return $seats === [] ? new Collection : Mark::counting()->where('script_id', $mark->script_id)
            ->whereKeyNot($mark->id)->whereIn('seat', $seats)->whereNotNull('done_at')
            ->where('rubric_version_id', $mark->rubric_version_id)->with(['marker:id,name', 'rubricVersion', 'handin'])
            ->orderByRaw("FIELD(seat, 'first', 'second')")->get();
    }

    /** Whether a mark can be made only once another is there to be checked, and that is not done yet. */
    public static function isWaiting(Mark $mark): bool
    {
        return $mark->counts && $mark->seat === Seat::Second && $mark->view === SecondView::Check
            && self::of($mark)->isEmpty();
    }

    /**
     * @return list<Seat>
     */
    private static function seats(Mark $mark): array
    {
        return match (true) {
            ! $mark->counts || $mark->view === SecondView::Blind => [],
            $mark->seat === Seat::Second => [Seat::First],
            $mark->seat === Seat::Third => [Seat::First, Seat::Second],
            default => [],
        };
    }
}
