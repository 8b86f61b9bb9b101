<?php

declare(strict_types=1);

namespace App\Notices;

use App\Enums\NoticeKind;
use App\Enums\Role;
use App\Models\Membership;
use App\Models\ReflectionSheet;
use App\Models\SheetAnswer;
use App\Models\User;
use App\Wording\LocalTime;
use Illuminate\Database\Eloquent\Collection;

/**
 * Tells students that a reflection is asked for. Within the transaction of what happened.
 */
final class TellOfSheet
{
    public function __construct(private readonly Notices $notices)
    {
    }

    public function asked(ReflectionSheet $sheet): void
    {
        $this->tell($sheet, self::students($sheet), 'sheet_asked', 'asked');
    }

    public function remind(ReflectionSheet $sheet): void
    {
        $done = SheetAnswer::query()->where('sheet_id', $sheet->id)->whereNotNull('done_at')->pluck('user_id');
        $this->tell($sheet, self::students($sheet)->except($done->all()), 'sheet_due', 'due:'.$sheet->due_at->timestamp);
    }

    /**
     * @return Collection<int, User>
     */
    public static function students(ReflectionSheet $sheet): Collection
    {
        return User::query()->whereIn('id', Membership::query()->where('module_id', $sheet->module_id)
            ->where('role', Role::Student)->whereNull('left_at')->select('user_id'))->orderBy('name')->get();
    }

    /**
     * @param  Collection<int, User>  $students
     */
    private function tell(ReflectionSheet $sheet, Collection $students, string $words, string $once): void
    {
        $this->notices->make(array_values($students->map(function (User $to) use ($sheet, $words, $once): NewNotice {
            $values = [
                'title' => $sheet->title, 'module' => $sheet->module->fullTitle(), 'name' => $to->name,
                'due' => LocalTime::shown($sheet->due_at), 'link' => route('sheets.show', $sheet),
            ];
            $title = (string) __("notices.{$words}", $values);

            return new NewNotice(
                $to, NoticeKind::SheetAsked, "sheet:{$once}:{$sheet->public_id}:{$to->id}", $title,
                route('sheets.show', $sheet, false), null, $title, (string) __("notices.{$words}_body", $values),
            );
        })->all()));
    }
}
