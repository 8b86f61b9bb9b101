<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Exceptions\Refused;
use App\Models\Round;
use App\Models\TrialScript;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Rubric\Criterion;
use YoungHarbor\Core\Rubric\CriterionMarks;
use YoungHarbor\Core\Rubric\Scorer;

/**
 * Adds a script that students try reviewing on, with the marks that staff set.
 */
final class AddTrialScript
{
    public const MOST = 3;

    /**
     * @throws Refused
     */
    public function __invoke(Round $round, string $title, string $text, CriterionMarks $choices, User $by): TrialScript
    {
        return DB::transaction(function () use ($round, $title, $text, $choices, $by): TrialScript {
            $stored = Round::query()->lockForUpdate()->findOrFail($round->id);
            $stored->given_at === null || throw new Refused((string) __('peers.trials_fixed'));
            $count = TrialScript::query()->where('round_id', $stored->id)->count();
            $count < self::MOST || throw new Refused((string) __('peers.trials_full', ['most' => self::MOST]));
            $version = $stored->assignment->rubricVersion ?? throw new Refused((string) __('peers.needs_rubric'));
            $score = Scorer::score($version->toCore()->only($stored->settings->criteria), $choices);
            $missing = array_map(fn (Criterion $one) => $one->title(), $score->missing());
            $missing === [] || throw new Refused(
                (string) trans_choice('peers.incomplete', count($missing), ['where' => implode(', ', $missing)]), 'marks',
            );

            return TrialScript::query()->create([
                'round_id' => $stored->id, 'title' => $title, 'text' => str_replace("\r\n", "\n", trim($text)),
                'position' => 1 + (int) TrialScript::query()->where('round_id', $stored->id)->max('position'),
                'rubric_version_id' => $version->id, 'choices' => $choices, 'total' => (string) $score->percent(),
                'made_by' => $by->id,
            ]);
        });
    }
}
