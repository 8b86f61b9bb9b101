<?php

declare(strict_types=1);

namespace App\Observing;

use App\Models\Allowance;
use App\Models\Assignment;
use App\Models\Conflict;
use App\Models\ObservationGround;
use App\Models\Script;
use App\Models\Slot;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Observing\Ground;
use YoungHarbor\Core\Observing\SlotPlan;
use YoungHarbor\Core\Observing\ToObserve;

/**
 * Who is to be observed in an assignment, for how long and not by whom, and the time that is left for it.
 */
final class Slots
{
    /** In the order in which a stretch names those who observe there. */
    private const SEATS = [Seat::First, Seat::Second, Seat::Third];

    /** The seat of whoever stands at a place among the observers, from 0. */
    public static function seat(int $place): Seat
    {
        return self::SEATS[$place];
    }

    /**
     * Those who have no slot that is published: each student, or of a group with one mark the script that is marked.
     *
     * @return Collection<int, Script>
     */
    public function waiting(Assignment $assignment): Collection
    {
        return Script::query()->where('assignment_id', $assignment->id)->whereNull('lead_id')->whereNull('left_at')
            ->whereDoesntHave('slot', fn ($slot) => $slot->whereNotNull('published_at'))->with('student:id,name')->get()
            ->sortBy(fn (Script $one) => [$one->group_name ?? '', $one->student->name])->values();
    }

    /**
     * @param  Collection<int, Script>  $scripts
     * @return list<ToObserve> each with the minutes they are allowed, and whom they are kept from
     */
    public function people(Assignment $assignment, Collection $scripts): array
    {
        $more = Allowance::query()->where('module_id', $assignment->module_id)->whereNull('ended_at')->pluck('extra_percent', 'student_id');
        $kept = Conflict::query()->where('module_id', $assignment->module_id)->get()->groupBy('student_id');

        return array_values($scripts->map(function (Script $script) use ($assignment, $more, $kept): ToObserve {
            $students = $assignment->handin_by->isGroup() && $script->group_name !== null
                ? $script->group()->map(fn (Script $one) => $one->student_id)->all() : [$script->student_id];
            $not = [];
            $percent = [0];
            foreach ($students as $student) {
                $percent[] = (int) ($more[$student] ?? 0);
                array_push($not, ...(
                    $kept->get($student) ?? collect()
                )->map(fn (Conflict $one) => (string) $one->marker_id)->all());
            }

            return new ToObserve(
                (string) $script->id, max(5, SlotPlan::lengthened($assignment->observing->minutes, max($percent))),
                array_values(array_unique($not)),
            );
        })->all());
    }

    /**
     * The time that is left in each stretch beside slots that are published.
     *
     * @return list<Ground>
     */
    public function grounds(Assignment $assignment): array
    {
        $taken = $assignment->slots()->whereNotNull('published_at')
            ->whereHas('script', fn ($script) => $script->whereNull('left_at'))->get();
        $gap = $assignment->observing->gap;
        $free = [];
        foreach ($assignment->grounds as $ground) {
            $from = $ground->starts_at->copy();
            $here = $taken->filter(fn (Slot $slot) => $slot->room === $ground->room
                && $slot->starts_at->lt($ground->ends_at)
                && $slot->ends_at->gt($ground->starts_at))->sortBy('starts_at');
            foreach ($here as $n => $slot) {
                $to = $slot->starts_at->copy()->subMinutes($gap);
                $to->gt($from) && $free[] = $this->piece($ground, "{$ground->public_id} {$n}", $from, $to);
                $from = $slot->ends_at->copy()->addMinutes($gap);
            }
            $ground->ends_at->gt($from) && $free[] = $this->piece($ground, $ground->public_id, $from, $ground->ends_at);
        }

        return $free;
    }

    private function piece(
        ObservationGround $ground, string $id, \Illuminate\Support\Carbon $from, \Illuminate\Support\Carbon $to,
    ): Ground {
        return new Ground(
            $id, $ground->room, $from->toDateTimeImmutable(), $to->toDateTimeImmutable(),
            array_map(strval(...), $ground->observers),
        );
    }

    /** Whether someone is kept from observing whoever a slot is of. */
    public function isKept(Slot $slot, User $observer): bool
    {
        $script = $slot->script;
        $students = $script->group_name !== null && $slot->assignment->handin_by->isGroup()
            ? $script->group()->map(fn (Script $one) => $one->student_id)->all() : [$script->student_id];

        return Conflict::query()->where('module_id', $slot->assignment->module_id)->where('marker_id', $observer->id)
            ->whereIn('student_id', $students)->exists();
    }
}
