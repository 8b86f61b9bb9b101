<?php

declare(strict_types=1);

namespace App\Actions\Reflect;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\ReflectionSheet;
use App\Models\User;
use App\Notices\TellOfSheet;
use Illuminate\Support\Facades\DB;

/**
 * Asks the students of a module for a reflection.
 */
final class OpenSheet
{
    public function __construct(private readonly TellOfSheet $tell, private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(ReflectionSheet $sheet, User $by): void
    {
        DB::transaction(function () use ($sheet, $by): void {
            $stored = ReflectionSheet::query()->with('module')->lockForUpdate()->findOrFail($sheet->id);
            if ($stored->opened_at !== null) {
                return;
            }
            $stored->due_at->isFuture() || throw new Refused((string) __('sheets.due_is_over'));
            $stored->update(['opened_at' => now()]);
            $this->logbook->write(
                Entry::of(LogEvent::SheetOpened)->on($stored->module)->saying(title: $stored->title)->by($by),
            );
            $this->tell->asked($stored);
        });
    }
}
