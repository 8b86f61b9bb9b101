<?php

declare(strict_types=1);

namespace App\Queries\Peers;

use App\Models\Mark;
use App\Models\Round;
use App\Models\RoundWork;
use App\Peers\CombinedWorks;
use YoungHarbor\Core\Agreement\MarkedScript;
use YoungHarbor\Core\Agreement\Pairs;
use YoungHarbor\Core\Marking\Seat;

/**
 * Peers' combined marks beside the first marks of staff, where both are there: how far peers can be relied on here.
 */
final readonly class PeersBesideStaff
{
    /** Below so many scripts limits of agreement say little. Common practice, no source. */
    public const LEAST = 8;

    /**
     * @param  array<int, array{combined: string, low: string|null, high: string|null}>  $combined  by work
     * @param  array<int, string>  $staff  by work
     */
    private function __construct(public array $combined, public array $staff, public Pairs $pairs)
    {
    }

    public static function of(Round $round): self
    {
        $works = RoundWork::query()->where('round_id', $round->id)->get()->keyBy('id');
        // Until the round is closed, as it would come out now.
        $combined = $round->isClosed()
            ? $works->whereNotNull('combined')->map(fn (RoundWork $one) => [
                'combined' => (string) $one->combined, 'low' => $one->low, 'high' => $one->high,
            ])->all()
            : app(CombinedWorks::class)->of($round);
        $byScript = $works->keyBy('script_id');
        $staff = Mark::counting()->where('seat', Seat::First)->whereIn('script_id', $byScript->keys())
            ->whereNotNull('done_at')->get(['script_id', 'total'])
            ->mapWithKeys(
                fn (Mark $one) => [$byScript->get($one->script_id)->id ?? 0 => (string) (float) $one->total]
            )->all();
        $scripts = [];
        foreach ($round->settings->criteria === [] ? array_intersect_key($combined, $staff) : [] as $id => $one) {
            $scripts[] = new MarkedScript(
                (string) $works->get($id)?->code, ['peers' => (float) $one['combined'], 'staff' => (float) $staff[$id]],
            );
        }

        return new self($combined, $staff, Pairs::of($scripts));
    }
}
