<?php

declare(strict_types=1);

namespace App\Queries\Reflect;

use App\Enums\Role;
use App\Models\Membership;
use App\Models\ReflectionSheet;
use App\Models\SheetAnswer;
use App\Models\User;
use App\Queries\TodayItem;

/**
 * Reflections that a student is asked for and has not written.
 */
final class SheetsToday
{
    /**
     * @return list<TodayItem>
     */
    public function of(User $person): array
    {
        $modules = array_values($person->memberships->filter(
            fn (Membership $one) => $one->left_at === null && $one->role === Role::Student,
        )->pluck('module_id')->all());
        $items = [];
        $open = $modules === [] ? [] : ReflectionSheet::query()->whereIn('module_id', $modules)->whereNotNull('opened_at')
            ->whereNotIn('id', SheetAnswer::query()->where('user_id', $person->id)->whereNotNull('done_at')
                ->select('sheet_id'))->with('module')->orderBy('due_at')->get();
        foreach ($open as $sheet) {
            $items[] = new TodayItem(
                $sheet, (string) __($sheet->due_at->isPast() ? 'sheets.today.late' : 'sheets.today.write'),
                route('sheets.show', $sheet), (string) __('sheets.today.go'), true, $sheet->due_at,
            );
        }

        return $items;
    }
}
