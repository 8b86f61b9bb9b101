<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Assignment;
use App\Models\Script;
use App\Models\Slot;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use YoungHarbor\Core\Observing\Calendar;

/**
 * Slots as a calendar file: a student's own, those an observer observes, all for a coordinator.
 */
final class SlotCalendar
{
    public function of(Assignment $assignment, User $person): string
    {
        $isStaff = $person->can('seeSlots', $assignment);

        return Calendar::text(array_values($this->slots($assignment, $person)->map(fn (Slot $slot) => [
            'uid' => "{$slot->public_id}@".parse_url((string) config('app.url'), PHP_URL_HOST),
            'from' => $slot->starts_at->toDateTimeImmutable(), 'to' => $slot->ends_at->toDateTimeImmutable(),
            'title' => $isStaff ? "{$assignment->title}: {$slot->script->names()}" : $assignment->title, 'place' => $slot->room,
            'words' => __('observe.calendar', [
                'observers' => $slot->observers->pluck('name')->implode(', '), 'module' => $assignment->module->fullTitle(),
            ]),
            'sequence' => $slot->sequence, 'cancelled' => false,
        ])->all()), now()->toDateTimeImmutable(), $assignment->title);
    }

    /**
     * @return Collection<int, Slot>
     */
    private function slots(Assignment $assignment, User $person): Collection
    {
        $slots = $assignment->slots()->whereNotNull('published_at')->with('observers', 'script.student');
        if ($person->can('coordinate', $assignment)) {
            return $slots->get();
        }
        if ($person->can('seeSlots', $assignment)) {
            return $slots->whereHas('observers', fn ($one) => $one->whereKey($person->id))->get();
        }
        $script = Script::query()->where('assignment_id', $assignment->id)->where('student_id', $person->id)->first();

        return $slots->where('script_id', $script === null ? 0 : $script->leadScript()->id)->get();
    }
}
