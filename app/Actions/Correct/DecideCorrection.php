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
 * Approves or refuses a correction that someone else asked for.
 */
final class DecideCorrection
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  string  $digest  of the preview that was looked at
     *
     * @throws Refused for who asked or is corrected, when it is decided already, or what it would do has changed
     */
    public function __invoke(
        Correction $correction, bool $approve, string $reason, string $digest, User $by,
    ): Correction {
        return DB::transaction(function () use ($correction, $approve, $reason, $digest, $by): Correction {
            $assignment = Assignment::query()->lockForUpdate()->findOrFail($correction->assignment_id);
            $stored = Correction::query()->lockForUpdate()->findOrFail($correction->id);
            $why = $stored->whyNotDecidedBy($by);
            $why === null || throw new Refused($why);
            $preview = $stored->preview($assignment);
            if ($approve) {
                $preview->released() === 0
                    || throw new Refused(
                        trans_choice('corrections.released', $preview->released(), ['count' => $preview->released()])
                    );
                hash_equals($preview->digest(), $digest) || throw new Refused(
                    'What it would do has changed since you looked at it. Nothing was approved: look at it again.',
                );
            }
            $stored->fill([
                'state' => $approve ? CorrectionState::Approved : CorrectionState::Refused, 'decided_by' => $by->id,
                'decided_at' => now(), 'decided_reason' => $reason,
            ])->save();
            $this->logbook->write(
                Entry::of($approve ? LogEvent::CorrectionApproved : LogEvent::CorrectionRefused)->on($assignment)->with(
                    who: $stored->marker, constant: $stored->constant, factor: $stored->factor,
                    scripts: count($preview->moved()),
                )->because($reason)->by($by)
            );

            return $stored;
        });
    }
}
