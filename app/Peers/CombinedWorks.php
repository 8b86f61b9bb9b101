<?php

declare(strict_types=1);

namespace App\Peers;

use App\Models\Mark;
use App\Models\PeerReview;
use App\Models\Round;
use App\Models\RoundMember;
use App\Models\RoundWork;
use App\Models\TrialMark;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Peers\CombinedMark;
use YoungHarbor\Core\Peers\Combining;
use YoungHarbor\Core\Peers\Method;
use YoungHarbor\Core\Peers\PeerMark;
use YoungHarbor\Core\Peers\Reliability;

/**
 * What peers' marks of the works of a round come to by its method, each with what every mark weighs.
 */
final class CombinedWorks
{
    private const DECIMALS = 1;

    private const TRIAL = 'trial ';

    /**
     * @return array<int, array{combined: string, low: string|null, high: string|null, combining: list<array{code: string, mark: string, weight: string, bias: string|null, sd: string|null}>}> by work, of those with a review
     */
    public function of(Round $round): array
    {
        $reviews = PeerReview::query()->where('round_id', $round->id)->where('own', false)->whereNull('returned_at')
            ->whereNull('hidden_at')->with('mark:id,done_at,total')->get()
            ->filter(fn (PeerReview $one) => $one->mark->isDone());
        $peers = array_values($reviews->map(fn (PeerReview $one) => new PeerMark(
            (string) $one->round_member_id, (string) $one->round_work_id, BigDecimal::of((string) $one->mark->total),
        ))->all());
        if ($peers === []) {
            return [];
        }
        $found = $round->settings->method === Method::Reliability
            ? $this->byReliability($round, $peers)
            : ['marks' => $this->exact($peers, $round->settings->method), 'reviewers' => []];
        $codes = RoundMember::query()->where('round_id', $round->id)->pluck('code', 'id')->all();
        $known = array_column($found['reviewers'], null, 'reviewer');
        $marks = $reviews->groupBy('round_work_id');
        $combined = [];
        foreach ($found['marks'] as $one) {
            $of = $marks->get((int) $one->script);
            $of === null || $combined[(int) $one->script] = $this->stored($one, $of, $codes, $known);
        }

        return $combined;
    }

    /**
     * @param  non-empty-list<PeerMark>  $peers
     * @return list<CombinedMark>
     */
    private function exact(array $peers, Method $method): array
    {
        $byWork = [];
        foreach ($peers as $one) {
            $byWork[$one->script][] = $one;
        }

        return Combining::exact($byWork, $method, self::DECIMALS);
    }

    /**
     * Trial scripts, and scripts that staff have marked on the same criteria, are fixed points.
     *
     * @param  non-empty-list<PeerMark>  $peers
     * @return array{marks: list<CombinedMark>, reviewers: list<array{reviewer: string, bias: float, sd: float, reviews: int}>}
     */
    private function byReliability(Round $round, array $peers): array
    {
        $known = [];
        foreach ($round->trials as $trial) {
            $known[self::TRIAL.$trial->id] = $trial->exactTotal()->toFloat();
        }
        foreach (
            TrialMark::query()->whereIn('trial_script_id', $round->trials->modelKeys())->whereNotNull('done_at')
                ->with('trial.round', 'trial.rubricVersion')->get() as $one
        ) {
            $peers[] = new PeerMark(
                (string) $one->round_member_id, self::TRIAL.$one->trial_script_id, $one->exactTotal(),
            );
        }

        return Reliability::of($peers, $known + $this->staffMarks($round), self::DECIMALS);
    }

    /**
     * @return array<string, float> by work: the mean of what staff gave, where they marked by the same criteria
     */
    private function staffMarks(Round $round): array
    {
        if ($round->settings->criteria !== []) {
            return [];
        }
        $works = RoundWork::query()->where('round_id', $round->id)->pluck('id', 'script_id');

        return Mark::counting()->whereIn('seat', [Seat::First, Seat::Second])->whereIn('script_id', $works->keys())
            ->whereNotNull('done_at')->get(['script_id', 'total'])->groupBy('script_id')
            ->mapWithKeys(fn (Collection $of, int $script) => [
                (string) $works[$script] => $of->avg(fn (Mark $mark) => (float) $mark->total) ?? 0.0,
            ])->all();
    }

    private static function weightOf(CombinedMark $one, PeerReview $review): float
    {
        foreach ($one->weights as $reviewer => $weight) {
            if ((int) $reviewer === $review->round_member_id) {
                return $weight;
            }
        }

        return 0.0;
    }

    /**
     * @param  Collection<int, PeerReview>  $of
     * @param  array<int, string>  $codes
     * @param  array<array-key, array{reviewer: string, bias: float, sd: float, reviews: int}>  $known
     * @return array{combined: string, low: string|null, high: string|null, combining: list<array{code: string, mark: string, weight: string, bias: string|null, sd: string|null}>}
     */
    private function stored(CombinedMark $one, Collection $of, array $codes, array $known): array
    {
        $shown = fn (?float $figure): ?string => $figure === null ? null : sprintf('%.1F', $figure);

        return [
            'combined' => (string) $one->mark, 'low' => $shown($one->low), 'high' => $shown($one->high),
            'combining' => array_values($of->sortBy('place')->map(fn (PeerReview $review) => [
                'code' => $codes[$review->round_member_id],
                'mark' => (string) BigDecimal::of((string) $review->mark->total)->stripTrailingZeros(),
                'weight' => sprintf('%.2F', self::weightOf($one, $review)),
                'bias' => $shown($known[$review->round_member_id]['bias'] ?? null),
                'sd' => $shown($known[$review->round_member_id]['sd'] ?? null),
            ])->all()),
        ];
    }
}
