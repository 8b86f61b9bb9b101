<?php

declare(strict_types=1);

namespace App\Actions\Correct;

use App\Enums\CorrectionState;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Correction;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Takes a correction back: every mark is again what it was without it.
 */
final class TakeBackCorrection
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused once a result it moved is released, or when it is taken back already
     */
    public function __invoke(Correction $correction, string $reason, User $by): Correction
    {
        return DB::transaction(function () use ($correction, $reason, $by): Correction {
            $assignment = Assignment::query()->lockForUpdate()->findOrFail($correction->assignment_id);
            $stored = Correction::query()->lockForUpdate()->findOrFail($correction->id);
            in_array($stored->state, [CorrectionState::Asked, CorrectionState::Approved], true)
                || throw new Refused('This correction moves no mark any more. Nothing was changed.');
            $released = $stored->state === CorrectionState::Approved ? $stored->preview($assignment)->released() : 0;
            $released === 0
                || throw new Refused(trans_choice('corrections.released', $released, ['count' => $released]));
            $stored->fill([
                'state' => CorrectionState::TakenBack, 'taken_back_by' => $by->id, 'taken_back_at' => now(),
                'taken_back_reason' => $reason,
            ])->save();
            $this->logbook->write(
                Entry::of(LogEvent::CorrectionTakenBack)->on($assignment)
                    ->with(who: $stored->marker, constant: $stored->constant, factor: $stored->factor)
                    ->because($reason)->by($by)
            );

            return $stored;
        });
    }
}
