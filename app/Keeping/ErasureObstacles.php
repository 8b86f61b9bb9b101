<?php

declare(strict_types=1);

namespace App\Keeping;

use App\Enums\Role;
use App\Models\Review;
use App\Models\Script;
use App\Models\User;

/**
 * Why a person cannot be erased now.
 */
final class ErasureObstacles
{
    /**
     * @return list<string> in words; none when they can be
     */
    public static function of(User $person): array
    {
        $found = [];
        $person->erased_at === null || $found[] = __('keeping.erase.already');
        $person->merged_into_id === null || $found[] = __('keeping.erase.merged');
        $person->hold_reason === null || $found[] = __('keeping.erase.held', ['reason' => $person->hold_reason]);
        if ($person->is_admin || $person->memberships()->where('role', '<>', Role::Student)->exists()) {
            $found[] = __('keeping.erase.staff');
        }
        $open = Script::query()->where('student_id', $person->id)->whereNotNull('current_handin_id')
            ->whereHas('assignment', fn ($query) => $query->whereNull('results_out_at'))->with('assignment:id,title')->get();
        foreach ($open as $script) {
            $found[] = __('keeping.erase.marking', ['assignment' => $script->assignment->title]);
        }
        $reviews = Review::query()->whereNull('decided_at')
            ->whereIn('script_id', Script::query()->where('student_id', $person->id)->select('id'))->count();
        $reviews === 0 || $found[] = trans_choice('keeping.erase.reviews', $reviews);

        return $found;
    }
}
