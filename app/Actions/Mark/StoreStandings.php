<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Marking\Facts;
use YoungHarbor\Core\Marking\Panel;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SeatMark;
use YoungHarbor\Core\Marking\Standing;

/**
 * Writes down where scripts stand, as the core works it out. Everything that changes a fact of a script (what came in,
 * its marks, what was agreed, held or released, who leads its group) calls this in its own transaction; everyone else
 * reads what is stored.
 */
final class StoreStandings
{
    private const CHUNK = 1000;

    /**
     * @param  iterable<int>  $scriptIds  the others of their groups follow
     */
    public function __invoke(iterable $scriptIds): void
    {
        collect($scriptIds)->unique()->chunk(self::CHUNK)->each(function (Collection $ids): void {
            $leads = DB::table('scripts')->whereIn('id', $ids)->selectRaw('COALESCE(lead_id, id) AS lead_id')
                ->pluck('lead_id')->unique();
            $followers = DB::table('scripts')->whereIn('lead_id', $leads)->pluck('id');
            // Locked by their keys alone, in the order in which everything takes a group's scripts.
            $scripts = DB::table('scripts')->whereIn('id', $leads->concat($followers))->orderBy('id')
                ->lockForUpdate()->get(
                    ['id', 'lead_id', 'current_handin_id', 'held', 'standing', 'reached', 'second_done']
                );
            $this->store($scripts, $leads);
        });
    }

    /**
     * @param  Collection<int, \stdClass>  $scripts
     * @param  Collection<int, mixed>  $leads
     */
    private function store(Collection $scripts, Collection $leads): void
    {
        $marks = DB::table('marks')->whereIn('script_id', $leads)->where('counts', true)
            ->get(['script_id', 'seat', 'total', 'begun_at', 'done_at'])->groupBy('script_id');
        $agreed = DB::table('settlements')->whereIn('script_id', $leads)->whereNull('undone_at')->pluck('script_id')->flip();
        $released = DB::table('results')->whereIn('script_id', $scripts->pluck('id'))->pluck('script_id')->flip();
        $panels = $leads->mapWithKeys(
            fn (mixed $lead) => [
                (int) $lead => Panel::of(...$marks->get($lead, collect())->map($this->mark(...))->all()),
            ]
        );
        $changes = [];
        foreach ($scripts as $script) {
            $lead = (int) ($script->lead_id ?? $script->id);
            $panel = $panels->get($lead, Panel::of());
            $facts = new Facts(
                $script->current_handin_id !== null, $agreed->has($lead), (bool) $script->held,
                $released->has($script->id),
            );
            $new = [
                Standing::of($facts, $panel)->value, Standing::reached($facts, $panel)->value,
                $panel->isDone(Seat::Second),
            ];
            if ($new !== [$script->standing, $script->reached, (bool) $script->second_done]) {
                $changes[implode(' ', $new)][] = [$script->id, $new];
            }
        }
        foreach ($changes as $same) {
            [$standing, $reached, $secondDone] = $same[0][1];
            $waits = $reached === Standing::ToSettle->value;
            DB::table('scripts')->whereIn('id', array_column($same, 0))->update([
                'standing' => $standing, 'reached' => $reached, 'second_done' => $secondDone,
                // Since when, which being held meanwhile does not change.
                'to_settle_at' => $waits ? DB::raw('COALESCE(to_settle_at, '.DB::escape(now()->toDateTimeString()).')')
                    : null,
            ]);
        }
    }

    private function mark(\stdClass $row): SeatMark
    {
        $seat = Seat::from((string) $row->seat);

        return match (true) {
            $row->done_at !== null => SeatMark::done($seat, BigDecimal::of((string) $row->total)),
            $row->begun_at !== null => SeatMark::begun($seat),
            default => SeatMark::waiting($seat),
        };
    }
}
