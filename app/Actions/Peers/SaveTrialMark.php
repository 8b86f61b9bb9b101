<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Exceptions\Refused;
use App\Models\RoundMember;
use App\Models\TrialMark;
use App\Models\TrialScript;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Rubric\Criterion;
use YoungHarbor\Core\Rubric\CriterionMarks;
use YoungHarbor\Core\Rubric\Scorer;

/**
 * Keeps what a student set on a trial script; once it is done, staff's marks are shown and it no longer changes.
 */
final class SaveTrialMark
{
    /**
     * @throws Refused
     */
    public function __invoke(TrialScript $trial, RoundMember $member, CriterionMarks $choices, bool $isDone): TrialMark
    {
        $missing = [];
        $kept = DB::transaction(function () use ($trial, $member, $choices, $isDone, &$missing): TrialMark {
            $mark = TrialMark::query()->lockForUpdate()->firstOrCreate(
                ['trial_script_id' => $trial->id, 'round_member_id' => $member->id],
                ['choices' => CriterionMarks::usual()],
            );
            $mark->done_at === null || throw new Refused((string) __('peers.trial_stays'));
            $score = Scorer::score($trial->rubric(), $choices);
            $missing = array_map(fn (Criterion $one) => $one->title(), $score->missing());
            $mark->fill(['choices' => $choices] + (
                $isDone && $missing === [] ? ['total' => (string) $score->percent(), 'done_at' => now()] : []
            ))->save();

            return $mark;
        });
        // What was set is kept, whatever is missing.
        $isDone && $missing !== [] && throw new Refused(
            (string) trans_choice('peers.incomplete', count($missing), ['where' => implode(', ', $missing)]),
        );

        return $kept;
    }
}
