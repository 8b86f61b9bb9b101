<?php

declare(strict_types=1);

namespace App\Queries\Observe;

use App\Enums\Role;
use App\Models\Assignment;
use App\Models\Mark;
use App\Models\Membership;
use App\Models\Script;
use App\Models\Slot;
use App\Models\SlotSwap;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;

/**
 * Who is observed when, where and by whom, who has no slot yet, and who wants to swap.
 */
final readonly class SlotList
{
    /**
     * @param  Collection<int, Slot>  $slots
     * @param  Collection<int, Script>  $without
     * @param  Collection<int, SlotSwap>  $swaps that are open
     * @param  array<int, int>  $done  by script: how many marks are done
     * @param  Collection<int, User>  $team  who could observe, by name
     */
    private function __construct(
        public Collection $slots, public Collection $without, public Collection $swaps, public array $done,
        public Collection $team,
    ) {
    }

    public static function of(Assignment $assignment): self
    {
        $slots = $assignment->slots()->with('observers:id,name,public_id', 'script.student:id,name')->get();

        return new self(
            $slots,
            Script::query()->where('assignment_id', $assignment->id)->whereNull('lead_id')->whereNull('left_at')->whereDoesntHave('slot')
                ->with('student:id,name')->get()->sortBy(fn (Script $one) => $one->student->name)->values(),
            SlotSwap::query()->whereIn('slot_id', $slots->modelKeys())->whereIn('state', [SlotSwap::ASKED, SlotSwap::AGREED])
                ->with('slot.script.student', 'other.script.student')->orderBy('id')->get(),
            Mark::counting()->whereIn('script_id', $slots->pluck('script_id'))->whereNotNull('done_at')->groupBy('script_id')
                ->selectRaw('script_id, COUNT(*) AS n')->pluck('n', 'script_id')->map(fn (mixed $n) => (int) $n)->all(),
            User::query()->whereIn('id', Membership::query()->where('module_id', $assignment->module_id)
                ->whereIn('role', [Role::Coordinator, Role::Tutor])->whereNull('left_at')->select('user_id'))
                ->orderBy('name')->get(['id', 'name', 'public_id']),
        );
    }
}
