<?php

declare(strict_types=1);

namespace App\Peers;

use App\Models\PeerReview;
use App\Models\Round;
use App\Models\RoundMember;
use App\Models\RoundWork;
use Brick\Math\BigDecimal;
use YoungHarbor\Core\Peers\ReviewingFacts;

/**
 * What each reviewer of a round did, for their mark for reviewing.
 */
final class ReviewerFacts
{
    /**
     * @return array<int, ReviewingFacts> by member, of those who were asked for a review
     */
    public function of(Round $round): array
    {
        $combined = RoundWork::query()->where('round_id', $round->id)->whereNotNull('combined')
            ->pluck('combined', 'id');
        $others = RoundWork::query()->where('round_id', $round->id)->get()
            ->filter(fn (RoundWork $one) => count($one->combining ?? []) > 1)->modelKeys();
        $reviews = PeerReview::query()->where('round_id', $round->id)->where('own', false)->whereNull('returned_at')
            ->with('mark.rubricVersion', 'member')->get()
            ->each(fn (PeerReview $one) => $one->setRelation('round', $round))->groupBy('round_member_id');
        $facts = [];
        foreach (RoundMember::query()->where('round_id', $round->id)->get() as $member) {
            $of = $reviews->get($member->id, collect());
            $done = $of->filter(fn (PeerReview $one) => $one->mark->isDone());
            $least = $round->settings->leastWords;
            $facts[$member->id] = new ReviewingFacts(
                $of->count() + $member->lost, $done->count(),
                $done->reject(fn (PeerReview $one) => $one->isLate())->count(),
                $least === 0 ? 0 : $done->sum(fn (PeerReview $one) => count($one->mark->rubric()->scored())),
                $least === 0 ? 0 : $done->sum(fn (PeerReview $one) => ReviewConcerns::fullComments($one)),
                array_values($done->whereNotNull('useful')->map(
                    fn (PeerReview $one) => max(0, min(2, (int) $one->useful))
                )
                    ->all()),
                array_values($done->filter(fn (PeerReview $one) => $one->hidden_at === null
                    && isset($combined[$one->round_work_id]) && in_array($one->round_work_id, $others, true))
                    ->map(fn (PeerReview $one) => [
                        BigDecimal::of((string) $one->mark->total),
                        BigDecimal::of((string) $combined[$one->round_work_id]),
                    ])->all()),
            );
        }

        return array_filter($facts, fn (ReviewingFacts $one) => $one->asked > 0);
    }
}
