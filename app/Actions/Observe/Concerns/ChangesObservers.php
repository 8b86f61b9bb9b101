<?php

declare(strict_types=1);

namespace App\Actions\Observe\Concerns;

use App\Exceptions\Refused;
use App\Models\Mark;
use App\Models\Slot;
use App\Models\User;
use App\Observing\Slots;
use YoungHarbor\Core\Marking\Seat;

/**
 * A slot that is observed by others from now on: their marks go with it. Within a transaction that holds the
 * assignment.
 */
trait ChangesObservers
{
    /**
     * @return list<int> in the order of their marks
     */
    private static function observersOf(Slot $slot): array
    {
        return array_values($slot->observers->map(fn (User $one) => $one->id)->all());
    }

    /**
     * @param  list<int>  $former  who observed until now
     * @param  list<int>  $now
     *
     * @throws Refused when someone who has begun would lose the mark, or a seat is taken by who marks from a recording
     */
    private function observedBy(Slot $slot, array $former, array $now): void
    {
        if ($former === $now) {
            return;
        }
        $slot->observers()->sync(collect($now)->mapWithKeys(fn (int $id, int $n) => [$id => ['place' => $n + 1]])->all());
        if ($slot->published_at === null) {
            return;
        }
        $marks = Mark::counting()->where('script_id', $slot->script_id)->lockForUpdate()->get();
        $seats = collect($now)->mapWithKeys(fn (int $id, int $n) => [Slots::seat($n)->value => $id]);
        $gone = $marks->filter(fn (Mark $mark) => in_array($mark->marker_id, $former, true)
            && $seats->get($mark->seat->value) !== $mark->marker_id);
        $gone->contains(fn (Mark $mark) => $mark->isBegun()) && throw new Refused(__('observe.refused.begun'), 'at');
        $gone->each(fn (Mark $mark) => $mark->delete());
        $left = $marks->diff($gone);
        foreach ($seats as $seat => $id) {
            $there = $left->first(fn (Mark $mark) => $mark->seat->value === $seat || $mark->marker_id === $id);
            match (true) {
                $there === null => Mark::give($slot->script, Seat::from($seat), $id, $slot->assignment),
                $there->seat->value === $seat && $there->marker_id === $id => null,
                default => throw new Refused(__('observe.refused.begun'), 'at'),
            };
        }
    }
}
