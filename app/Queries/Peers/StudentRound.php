<?php

declare(strict_types=1);

namespace App\Queries\Peers;

use App\Enums\PeerReviewState;
use App\Models\PeerReview;
use App\Models\Round;
use App\Models\RoundMember;
use App\Models\RoundWork;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Collection;
use YoungHarbor\Core\Peers\ReviewingFacts;

/**
 * A round as one student sees it: what is asked of them, how far they are, what came back.
 */
final readonly class StudentRound
{
    /**
     * @param  Collection<int, PeerReview>  $toWrite  in the order that was drawn
     * @param  Collection<int, PeerReview>  $received
     * @param  list<int>  $ratings  of their reviews by authors; none unless there are three
     */
    private function __construct(
        public Round $round, public ?Script $script, public ?RoundMember $member, public ?RoundWork $work,
        public Collection $toWrite, public ?PeerReview $ownRating, public Collection $received,
        public bool $receivedSeen, public ?TrialsAsked $trials, public array $ratings,
    ) {
    }

    public static function of(Round $round, User $student): self
    {
        $script = Script::query()->where('assignment_id', $round->assignment_id)->where('student_id', $student->id)
            ->first();
        $member = RoundMember::query()->where('round_id', $round->id)->where('user_id', $student->id)->first();
        $work = $script === null ? null : RoundWork::query()->where('round_id', $round->id)
            ->where('script_id', $script->lead_id ?? $script->id)->first();
        $reviews = $member === null ? collect() : PeerReview::query()->where('round_member_id', $member->id)
            ->with('mark', 'work', 'member')->orderBy('place')->orderBy('id')->get()
            ->each(fn (PeerReview $one) => $one->setRelation('round', $round));
        $ratings = $reviews->where('own', false)->whereNotNull('useful')->pluck('useful')->all();

        return new self(
            $round, $script, $member, $work,
            $reviews->filter(
                fn (PeerReview $one) => ! $one->own && $one->state() !== PeerReviewState::Returned
            )->values(),
            $reviews->firstWhere('own', true),
            $script === null ? collect() : ReceivedReviews::of($round, $script, $member),
            ReceivedReviews::areSeen($round, $member),
            $member === null ? null : TrialsAsked::of($round, $member),
            count($ratings) < ReviewingFacts::LEAST_RATINGS ? [] : array_values(array_map(intval(...), $ratings)),
        );
    }

    public function written(): int
    {
        return $this->toWrite->filter(fn (PeerReview $one) => $one->state() === PeerReviewState::Done)->count();
    }

    public function mayReview(): bool
    {
        return ($this->trials?->allowReviewing() ?? false) && ! $this->waitsForOwn();
    }

    /** Whether one's own work is to be rated before others' is opened. */
    public function waitsForOwn(): bool
    {
        return $this->round->settings->selfFirst && $this->ownRating !== null
            && $this->ownRating->state() !== PeerReviewState::Done;
    }
}
