<?php

declare(strict_types=1);

namespace App\Actions\Observe;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Slot;
use App\Models\User;
use App\Observing\Slots;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Observing\SlotPlan;

/**
 * Draws slots for everyone who has none that they know of, in the time that is left. Drafts are drawn anew.
 */
final class DrawSlots
{
    public function __construct(private readonly Slots $slots, private readonly Logbook $logbook)
    {
    }

    /**
     * @return array<int, string> who found no slot, by script id, and why: kept or full
     *
     * @throws Refused
     */
    public function __invoke(Assignment $assignment, User $by): array
    {
        return DB::transaction(function () use ($assignment, $by): array {
            $stored = Assignment::query()->with('grounds', 'module')->lockForUpdate()->findOrFail($assignment->id);
            $stored->isPublished() || throw new Refused(__('observe.refused.not_open'));
            $stored->grounds->isNotEmpty() || throw new Refused(__('observe.refused.no_grounds'));
            $stored->slots()->whereNull('published_at')->delete();
            $waiting = $this->slots->waiting($stored);
            try {
                $plan = SlotPlan::of(
                    $this->slots->grounds($stored), $this->slots->people($stored, $waiting), $stored->observing->gap,
                );
            } catch (InvalidInput $e) {
                throw new Refused(ucfirst($e->faults[0]->what).'. Nothing was drawn.');
            }
            foreach ($plan->slots as $slot) {
                $made = Slot::query()->create([
                    'public_id' => Str::uuid()->toString(), 'assignment_id' => $stored->id, 'script_id' => (int) $slot->who,
                    'room' => $slot->room, 'starts_at' => $slot->from, 'ends_at' => $slot->to,
                ]);
                foreach ($slot->observers as $n => $observer) {
                    $made->observers()->attach((int) $observer, ['place' => $n + 1]);
                }
            }
            $this->logbook->write(
                Entry::of(LogEvent::SlotsDrawn)->on($stored)->with(given: count($plan->slots))->by($by),
            );
            $left = [];
            foreach ($plan->unplaced as $script => $why) {
                $left[(int) $script] = $why;
            }

            return $left;
        });
    }
}
