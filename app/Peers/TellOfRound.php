<?php

declare(strict_types=1);

namespace App\Peers;

use App\Enums\NoticeKind;
use App\Enums\Role;
use App\Models\Membership;
use App\Models\PeerReview;
use App\Models\Round;
use App\Models\RoundMember;
use App\Models\Script;
use App\Models\User;
use App\Notices\NewNotice;
use App\Notices\Notices;
use App\Wording\LocalTime;
use Illuminate\Database\Eloquent\Collection;
use YoungHarbor\Core\Peers\PlannedReviews;

/**
 * Tells students what a round asks of them, and coordinators what it asks of them. Within the transaction of what
 * happened.
 */
final class TellOfRound
{
    public function __construct(private readonly Notices $notices)
    {
    }

    /**
     * @param  Collection<int, RoundMember>  $members
     */
    public function given(Round $round, PlannedReviews $plan, Collection $members): void
    {
        $assignment = $round->assignment;
        $first = $round->given_at === null;
        $gained = $plan->gained();
        $whom = $first ? $members->filter(fn (RoundMember $one) => $one->left_at === null)
            : $members->filter(fn (RoundMember $one) => isset($gained[$one->id]));
        $whom->load('user');
        $stamp = now()->format('YmdHi');
        $notices = $whom->map(function (RoundMember $member) use ($round, $assignment, $gained, $stamp): NewNotice {
            $values = [
                'round' => $round->title, 'assignment' => $assignment->title, 'name' => $member->user->name,
                'count' => $gained[$member->id] ?? 0, 'due' => LocalTime::shown($member->due_at),
                'link' => route('rounds.show', $round),
            ];
            $title = (string) trans_choice('notices.peer_review_given', $values['count'], $values);

            return new NewNotice(
                $member->user, NoticeKind::PeerReviewGiven, "peer-review-given:{$round->public_id}:{$stamp}:{$member->id}",
                $title, route('rounds.show', $round, false), $assignment, $title,
                (string) __('notices.peer_review_given_body', $values + ['title' => $title]),
            );
        })->values()->all();
        $short = array_sum($plan->short);
        if ($short > 0 && $short !== $round->short) {
            $values = ['round' => $round->title, 'assignment' => $assignment->title, 'link' => route('rounds.staff', $round)];
            $title = (string) trans_choice('notices.round_short', $short, $values + ['count' => $short]);
            foreach (self::coordinators($round) as $coordinator) {
                $notices[] = new NewNotice(
                    $coordinator, NoticeKind::RoundNeedsYou, "round-short:{$round->public_id}:{$stamp}:{$coordinator->id}",
                    $title, route('rounds.staff', $round, false), $assignment, $title,
                    (string) __('notices.round_short_body', $values + ['title' => $title, 'name' => $coordinator->name]),
                );
            }
        }
        $this->notices->make(array_values($notices));
    }

    /**
     * @return Collection<int, User>
     */
    public static function coordinators(Round $round): Collection
    {
        return User::query()->whereIn('id', Membership::query()->where('module_id', $round->assignment->module_id)
            ->where('role', Role::Coordinator)->whereNull('left_at')->select('user_id'))->get();
    }

    /** A reviewer cannot review a work. */
    public function returned(PeerReview $review): void
    {
        $this->coordinatorsOf($review, 'returned', (string) __("peers.returned.{$review->returned_why?->value}"));
    }

    /** An author finds something wrong with a review. */
    public function flagged(PeerReview $review): void
    {
        $this->coordinatorsOf($review, 'flagged', (string) __("peers.flag.{$review->flag_why?->value}"));
    }

    /** What became of what an author said about a review. */
    public function decided(PeerReview $review): void
    {
        $round = $review->round;
        $this->notices->make(array_values($review->work->script->group()->map(
            fn (Script $script) => $this->toStudent($round, $script->student, 'peer_flag_decided', "flag:{$review->public_id}:{$script->id}:".now()->timestamp),
        )->all()));
    }

    public function closed(Round $round): void
    {
        $this->toAll($round, 'peer_round_closed', 'closed');
    }

    public function reviewsSeen(Round $round): void
    {
        $this->toAll($round, 'peer_reviews_in', 'seen');
    }

    /**
     * @param  Collection<int, RoundMember>  $members
     */
    public function remind(Round $round, Collection $members): void
    {
        $this->notices->make(array_values($members->map(fn (RoundMember $one) => $this->toStudent(
            $round, $one->user, 'peer_reviews_due', "due:{$round->public_id}:{$one->id}",
            ['due' => LocalTime::shown($one->due_at)],
        ))->all()));
    }

    private function toAll(Round $round, string $words, string $once): void
    {
        $this->notices->make(array_values(RoundMember::query()->where('round_id', $round->id)->whereNull('left_at')
            ->with('user')->get()->map(fn (RoundMember $one) => $this->toStudent(
                $round, $one->user, $words, "{$once}:{$round->public_id}:{$one->id}",
            ))->all()));
    }

    /**
     * @param  array<string, string>  $more
     */
    private function toStudent(Round $round, User $to, string $words, string $once, array $more = []): NewNotice
    {
        $values = $more + [
            'round' => $round->title, 'assignment' => $round->assignment->title, 'name' => $to->name,
            'link' => route('rounds.show', $round),
        ];
        $title = (string) __("notices.{$words}", $values);

        return new NewNotice(
            $to, NoticeKind::PeerReviewsIn, "peers:{$once}", $title, route('rounds.show', $round, false),
            $round->assignment, $title, (string) __("notices.{$words}_body", $values + ['title' => $title]),
        );
    }

    private function coordinatorsOf(PeerReview $review, string $what, string $why): void
    {
        $round = $review->round;
        $values = [
            'round' => $round->title, 'assignment' => $round->assignment->title, 'why' => $why,
            'link' => route('rounds.staff', $round),
        ];
        $title = (string) __("notices.peer_{$what}", $values);
        $this->notices->make(array_values(self::coordinators($round)->map(fn (User $one) => new NewNotice(
            $one, NoticeKind::RoundNeedsYou, "peer-{$what}:{$review->public_id}:{$one->id}", $title,
            route('rounds.staff', $round, false), $round->assignment, $title,
            (string) __("notices.peer_{$what}_body", $values + ['title' => $title, 'name' => $one->name]),
        ))->all()));
    }
}
