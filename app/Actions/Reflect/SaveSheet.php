<?php

declare(strict_types=1);

namespace App\Actions\Reflect;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Module;
use App\Models\ReflectionSheet;
use App\Models\SheetAnswer;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Release\SheetSettings;

/**
 * Plans a reflection of its own, or changes it. Its prompts and its readers stay once someone has written.
 */
final class SaveSheet
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(
        Module $module, ?ReflectionSheet $sheet, string $title, SheetSettings $settings, Carbon $dueAt, User $by,
    ): ReflectionSheet {
        return DB::transaction(function () use ($module, $sheet, $title, $settings, $dueAt, $by): ReflectionSheet {
            $stored = $sheet === null ? null : ReflectionSheet::query()->lockForUpdate()->findOrFail($sheet->id);
            if ($stored !== null && SheetAnswer::query()->where('sheet_id', $stored->id)->exists()
                && ($stored->settings->prompts !== $settings->prompts
                    || $stored->settings->teamReads !== $settings->teamReads)) {
                throw new Refused((string) __('sheets.fixed'), 'prompts');
            }
            $fields = ['title' => $title, 'settings' => $settings, 'due_at' => $dueAt];
            if ($stored === null) {
                $stored = ReflectionSheet::query()->create($fields + ['module_id' => $module->id, 'made_by' => $by->id]);
            } else {
                $stored->update($fields + ($stored->due_at->eq($dueAt) ? [] : ['reminded_at' => null]));
            }
            $this->logbook->write(
                Entry::of($sheet === null ? LogEvent::SheetMade : LogEvent::SheetChanged)->on($module)
                    ->saying(title: $title)->by($by),
            );

            return $stored;
        });
    }
}
