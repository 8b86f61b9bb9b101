<?php

declare(strict_types=1);

namespace App\Queries\Peers;

use App\Models\Mark;
use App\Models\PeerReview;
use App\Models\Round;
use App\Models\RoundWork;
use App\Peers\CombinedWorks;
use YoungHarbor\Core\Marking\Seat;

/**
 * What is shown of one work of a round: each review, what they come to and how, and what staff gave.
 */
final class ReviewedWorkPage
{
    public function __construct(private readonly CombinedWorks $combined)
    {
    }

    /**
     * @return array<string, mixed>
     */
    public function of(Round $round, RoundWork $work): array
    {
        $reviews = PeerReview::query()->where('round_work_id', $work->id)->where('own', false)
            ->with('mark.rubricVersion', 'mark.handin', 'member', 'work')->orderBy('place')->orderBy('id')->get()
            ->each(fn (PeerReview $one) => $one->setRelation('round', $round));

        return [
            'round' => $round, 'assignment' => $round->assignment, 'work' => $work, 'reviews' => $reviews,
            'rubric' => $round->assignment->rubricVersion?->toCore()->only($round->settings->criteria),
            'combined' => $round->isClosed()
                ? ($work->combined === null ? null : $work->only(['combined', 'low', 'high', 'combining']))
                : ($this->combined->of($round)[$work->id] ?? null),
            'staff' => Mark::counting()->where('script_id', $work->script_id)->where('seat', Seat::First)
                ->whereNotNull('done_at')->with('rubricVersion')->first(),
        ];
    }
}
