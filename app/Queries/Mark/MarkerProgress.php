<?php

declare(strict_types=1);

namespace App\Queries\Mark;

use App\Models\Assignment;
use App\Models\Mark;
use App\Queries\NameOrder;
use App\Wording\LocalTime;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use YoungHarbor\Core\Allocation\Pace;

/**
 * How far each marker of an assignment is.
 */
final class MarkerProgress
{
    /**
     * @return Collection<int, array{id: string, name: string, given: int, begun: int, done: int, aside: int, minutes: float|null, pace: Pace}>
     */
    public function of(Assignment $assignment): Collection
    {
        $marks = Mark::counting()->where('assignment_id', $assignment->id)->toBase()
            ->get(['marker_id', 'begun_at', 'done_at', 'aside_reason', 'seconds', 'created_at'])->groupBy('marker_id');
        $names = \App\Models\User::query()->whereIn('id', $marks->keys())->get(['id', 'public_id', 'name'])
            ->keyBy('id');
        $today = Carbon::now(LocalTime::zone())->startOfDay();
        $left = $assignment->promised_on === null
            ? null
            : (int) $today->diffInDays(Carbon::parse($assignment->promised_on->format('Y-m-d'), LocalTime::zone()), false);

        return $marks->map(function (Collection $own, int $id) use ($names, $today, $left): array {
            $done = $own->whereNotNull('done_at');
            $seconds = $done->map(fn (object $mark) => (int) $mark->seconds)->filter(fn (int $one) => $one > 0)->sort()
                ->values();
            $first = $done->min('done_at');
            $days = $first === null
                ? 0
                : 1 + (int) Carbon::parse((string) $first, 'UTC')->setTimezone(LocalTime::zone())->startOfDay()
                    ->diffInDays($today);

            return [
                'id' => (string) $names->get($id)?->public_id, 'name' => (string) $names->get($id)?->name,
                'given' => $own->count(),
                'begun' => $own->whereNull('done_at')->whereNotNull('begun_at')->count(), 'done' => $done->count(),
                'aside' => $own->whereNull('done_at')->whereNotNull('aside_reason')->count(),
                'minutes' => $seconds->isEmpty() ? null : (float) $seconds->median() / 60,
                'pace' => Pace::of($own->count(), $done->count(), $days, $left),
            ];
        })->sortBy(fn (array $row) => NameOrder::key($row['name']))->values();
    }
}
