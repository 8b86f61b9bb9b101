<?php

declare(strict_types=1);

namespace App\Actions\Observe;

use App\Exceptions\Refused;
use App\Models\Assignment;
use App\Models\ObservationGround;
use App\Models\User;
use App\Wording\LocalTime;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marking\Rules\RuleName;
use YoungHarbor\Core\Observing\SlotPlan;

/**
 * Adds a stretch of time in a room with those who observe there.
 */
final class SaveGround
{
    /**
     * @param  list<int>  $observers  ids of people, in the order of their marks
     *
     * @throws Refused when the room or an observer is needed elsewhere then
     */
    public function __invoke(
        Assignment $assignment, string $room, Carbon $from, Carbon $to, array $observers,
    ): ObservationGround {
        return DB::transaction(function () use ($assignment, $room, $from, $to, $observers): ObservationGround {
            $stored = Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
            count($observers) > 2 && $stored->scheme->thirdRule === RuleName::ThirdDecides
                && throw new Refused(__('observe.refused.third_decides'), 'third');
            foreach (ObservationGround::query()->where('assignment_id', '<>', $stored->id)->where('starts_at', '<', $to)
                ->where('ends_at', '>', $from)->get() as $elsewhere) {
                $twice = array_intersect($observers, $elsewhere->observers);
                $twice === [] || throw new Refused(__('observe.refused.elsewhere', [
                    'name' => User::query()->whereKey($twice)->value('name'), 'at' => LocalTime::shown($elsewhere->starts_at),
                ]), 'from');
            }
            $made = $stored->grounds()->create([
                'room' => $room, 'starts_at' => $from, 'ends_at' => $to, 'observers' => $observers,
            ]);
            try {
                SlotPlan::of(array_values(
                    $stored->grounds()->get()->map(fn (ObservationGround $one) => $one->toCore())->all(),
                ), [], 0);
            } catch (InvalidInput $e) {
                throw new Refused(ucfirst($e->faults[0]->what).'. Nothing was added.', 'room');
            }

            return $made;
        });
    }
}
