<?php

declare(strict_types=1);

namespace App\Queries\Moderate;

use App\Models\Assignment;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Agreement\Linking;
use YoungHarbor\Core\Agreement\Sight;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SecondView;

/**
 * How much two blind marks of one script differ in this module when nobody is harsher than anybody: what remains of the
 * differences once each marker's own lie is taken off.
 */
final readonly class PairNoise
{
    private function __construct(public float $sd, public int $pairs)
    {
    }

    /** Whether it was measured here. */
    public function isMeasured(): bool
    {
        return $this->pairs >= Sight::LEAST_PAIRS;
    }

    public static function of(Assignment $assignment): self
    {
        $rows = DB::table('marks as first')->join(
            'marks as second',
            fn ($join) => $join->on('second.script_id', '=', 'first.script_id')
                ->where('second.counting_seat', Seat::Second->value)->where('second.view', SecondView::Blind->value)
                ->whereNotNull('second.done_at'),
        )->join('assignments', 'assignments.id', '=', 'first.assignment_id')
            ->where('assignments.module_id', $assignment->module_id)
            ->where('first.counting_seat', Seat::First->value)->whereNotNull('first.done_at')
            ->get(['first.marker_id as a', 'second.marker_id as b', DB::raw('first.total - second.total AS apart')]);
        $pairs = $rows->map(fn (object $row) => ["{$row->a}", "{$row->b}", (float) $row->apart])->all();
        $markers = array_values(array_unique([...array_column($pairs, 0), ...array_column($pairs, 1)]));
        $linking = Linking::of($markers, array_map(fn (array $pair) => [$pair[0], $pair[1]], $pairs));
        $sd = count($pairs) < Sight::LEAST_PAIRS ? null : $linking->fit($pairs)['sd'];

        return $sd === null || $sd === 0.0 ? new self(Sight::USUAL_NOISE, 0) : new self($sd, count($pairs));
    }
}
