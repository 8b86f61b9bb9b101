<?php

declare(strict_types=1);

namespace App\Actions\Correct;

use App\Corrections\SeverityOf;
use App\Enums\CorrectionKind;
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
 * Asks for a correction of marks. It moves nothing until someone else approves it.
 */
final class AskCorrection
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  string  $digest  of the preview that was looked at
     *
     * @throws Refused when results are out, when one of its kind is there already, or what it would do has changed
     */
    public function __invoke(
        Assignment $assignment, Correction $draft, string $reason, string $digest, User $by,
    ): Correction {
        return DB::transaction(function () use ($assignment, $draft, $reason, $digest, $by): Correction {
            Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
            $assignment->unsetRelation('corrections');
            $this->refuseSecond($assignment, $draft);
            if ($draft->kind === CorrectionKind::Severity) {
                $now = SeverityOf::marker($assignment, $draft->marker);
                $now !== null && $now->correction() === $draft->constant || throw new Refused(
                    'Marks were finished meanwhile, and the figure is another one now. Nothing was asked: look at it again.',
                );
            }
            $preview = $draft->preview($assignment);
            $preview->released() === 0
                || throw new Refused(
                    trans_choice('corrections.released', $preview->released(), ['count' => $preview->released()])
                );
            hash_equals($preview->digest(), $digest) || throw new Refused(
                'What it would do has changed since you looked at it. Nothing was asked: look at it again.',
            );
            $draft->fill(['assignment_id' => $assignment->id, 'reason' => $reason, 'asked_by' => $by->id,
                'state' => CorrectionState::Asked])->save();
            $this->logbook->write(
                Entry::of(LogEvent::CorrectionAsked)->on($assignment)->with(
                    who: $draft->marker, constant: $draft->constant, factor: $draft->factor,
                    scripts: count($preview->moved()),
                )->because($reason)->by($by)
            );

            return $draft;
        });
    }

    /**
     * @throws Refused
     */
    private function refuseSecond(Assignment $assignment, Correction $draft): void
    {
        $there = $assignment->corrections()->whereIn('state', [CorrectionState::Asked, CorrectionState::Approved])
            ->where('marker_id', $draft->marker_id)->exists();
        $there && throw new Refused($draft->kind === CorrectionKind::Severity
            ? 'There is a correction for this marker already. Take it back before you ask for another.'
            : 'There is a correction for all scripts already. Take it back before you ask for another: marks are moved once.');
    }
}
