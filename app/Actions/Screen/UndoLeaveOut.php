<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Actions\Screen\Concerns\FiguresReport;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\OverlapChoice;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Undoes what was left out of a report’s figures, or let count. They are worked out anew in the same step.
 */
final class UndoLeaveOut
{
    use FiguresReport;

    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(OverlapChoice $choice, User $by): void
    {
        DB::transaction(function () use ($choice, $by): void {
            $stored = $this->locked($choice->report);
            $current = OverlapChoice::query()->lockForUpdate()->findOrFail($choice->id);
            if ($current->undone_at === null) {
                $current->update(['undone_at' => now(), 'undone_by' => $by->id]);
                $this->figured(
                    $stored,
                    Entry::of(LogEvent::ChoiceUndone)->with(what: $choice->what)->because($choice->reason)->by($by),
                );
            }
        });
    }
}
