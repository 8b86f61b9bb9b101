<?php

declare(strict_types=1);

namespace App\Queries\Peers;

use App\Models\Round;
use App\Models\RoundMember;
use App\Models\TrialMark;
use App\Models\TrialScript;
use Illuminate\Support\Collection;
use YoungHarbor\Core\Peers\Nearness;

/**
 * How a student did on the trial scripts of a round.
 */
final readonly class TrialsAsked
{
    /**
     * @param  Collection<int, TrialScript>  $scripts
     * @param  Collection<int, TrialMark>  $marks  by trial script id
     */
    private function __construct(
        private Round $round, private bool $isLetIn, public Collection $scripts, public Collection $marks,
    ) {
    }

    public static function of(Round $round, RoundMember $member): self
    {
        $scripts = $round->trials;
        $marks = $scripts->isEmpty() ? collect() : TrialMark::query()->where('round_member_id', $member->id)
            ->whereIn('trial_script_id', $scripts->modelKeys())->get()->keyBy('trial_script_id')
            ->each(fn (TrialMark $one) => $one->setRelation(
                'trial', $scripts->firstWhere('id', $one->trial_script_id)?->setRelation('round', $round),
            ));

        return new self($round, $member->let_in_at !== null, $scripts, $marks);
    }

    public function done(): int
    {
        return $this->marks->whereNotNull('done_at')->count();
    }

    public function areDone(): bool
    {
        return $this->done() === $this->scripts->count();
    }

    public function nearness(): ?Nearness
    {
        return Nearness::of(array_values($this->marks->whereNotNull('done_at')->map(fn (TrialMark $one) => [
            $one->exactTotal(), $one->trial->exactTotal(),
        ])->all()));
    }

    public function isNearEnough(): bool
    {
        return $this->nearness()?->reaches($this->round->settings->trialPass) ?? true;
    }

    /** Whether all are done and, where there is a line, near enough; a coordinator lets others in. */
    public function allowReviewing(): bool
    {
        return $this->isLetIn || ($this->areDone() && $this->isNearEnough());
    }
}
