<?php

declare(strict_types=1);

namespace App\Observing;

use App\Enums\NoticeKind;
use App\Models\Script;
use App\Models\Slot;
use App\Models\SlotSwap;
use App\Models\User;
use App\Notices\NewNotice;
use App\Notices\Notices;
use App\Wording\LocalTime;

/**
 * Tells people of slots: who is observed, who observes, who is asked to swap. Within the transaction of what happened.
 */
final class TellOfSlot
{
    public function __construct(private readonly Notices $notices)
    {
    }

    /** That it is there, or is another now. */
    public function changed(Slot $slot): void
    {
        $what = $slot->sequence === 0 ? 'slot' : 'slot_moved';
        $notices = [];
        foreach ($this->students($slot) as $student) {
            $notices[] = $this->notice($student, $slot, $what, route('hand-in.show', $slot->assignment, false));
        }
        foreach ($slot->sequence === 0 ? [] : $slot->observers as $observer) {
            $notices[] = $this->notice($observer, $slot, 'slot_observer', route('slots.index', $slot->assignment, false));
        }
        $this->notices->make($notices);
    }

    public function asked(SlotSwap $swap): void
    {
        $this->notices->make(array_map(
            fn (User $student) => $this->notice($student, $swap->other, 'swap_asked', route(
                'hand-in.show', $swap->slot->assignment, false,
            ), "swap:{$swap->public_id}"),
            $this->students($swap->other),
        ));
    }

    public function refused(SlotSwap $swap): void
    {
        $this->notices->make(array_map(
            fn (User $student) => $this->notice($student, $swap->slot, 'swap_refused', route(
                'hand-in.show', $swap->slot->assignment, false,
            ), "swap-refused:{$swap->public_id}"),
            $this->students($swap->slot),
        ));
    }

    /**
     * @return list<User>
     */
    private function students(Slot $slot): array
    {
        return $slot->script->group_name !== null && $slot->assignment->handin_by->isGroup()
            ? array_values($slot->script->group()->map(fn (Script $one) => $one->student)->all())
            : [$slot->script->student];
    }

    private function notice(User $to, Slot $slot, string $what, string $link, ?string $once = null): NewNotice
    {
        $values = [
            'assignment' => $slot->assignment->title, 'at' => LocalTime::shown($slot->starts_at), 'room' => $slot->room,
        ];

        return new NewNotice(
            $to, NoticeKind::Slot, ($once ?? "slot:{$slot->public_id}:{$slot->sequence}").":{$to->id}",
            (string) __("notices.{$what}", $values), $link, $slot->assignment, (string) __("notices.{$what}", $values),
            (string) __("notices.{$what}_body", $values + ['name' => $to->name, 'link' => url($link)]),
        );
    }
}
