<?php

declare(strict_types=1);

namespace App\Queries\Peers;

use App\Enums\Role;
use App\Models\Membership;
use App\Models\PeerReview;
use App\Models\Round;
use App\Models\RoundMember;
use App\Models\User;
use App\Queries\TodayItem;

/**
 * What rounds of peer review ask of someone today.
 */
final class RoundsToday
{
    /**
     * @return list<TodayItem>
     */
    public function of(User $person): array
    {
        $as = fn (Role $role): array => array_values($person->memberships->filter(
            fn (Membership $one) => $one->left_at === null && $one->role === $role,
        )->pluck('module_id')->all());

        return [...$this->toWrite($person, $as(Role::Student)), ...$this->toFollow($as(Role::Coordinator))];
    }

    /**
     * @param  list<int>  $modules
     * @return list<TodayItem>
     */
    private function toWrite(User $person, array $modules): array
    {
        $members = $modules === [] ? [] : RoundMember::query()->where('user_id', $person->id)->whereNull('left_at')
            ->whereHas('round', fn ($round) => $round->whereNull('closed_at')->whereHas(
                'assignment', fn ($assignment) => $assignment->whereIn('module_id', $modules),
            ))->with('round.assignment.module')->withCount(['reviews as open' => fn ($review) => $review
            ->whereNull('returned_at')->whereHas('mark', fn ($mark) => $mark->whereNull('done_at'))])->get();
        $items = [];
        foreach ($members as $member) {
            $open = (int) $member->getAttribute('open');
            $open === 0 || $items[] = new TodayItem(
                $member->round->assignment,
                (string) trans_choice('peers.today.write', $open, ['count' => $open, 'round' => $member->round->title]),
                route('rounds.show', $member->round), (string) __('peers.today.go'), true, $member->due_at,
            );
        }

        return $items;
    }

    /**
     * @param  list<int>  $modules
     * @return list<TodayItem>
     */
    private function toFollow(array $modules): array
    {
        $rounds = $modules === [] ? [] : Round::query()->whereNotNull('opened_at')->whereNull('closed_at')
            ->whereHas('assignment', fn ($assignment) => $assignment->whereIn('module_id', $modules))
            ->with('assignment.module')->get();
        $items = [];
        foreach ($rounds as $round) {
            $waiting = PeerReview::query()->where('round_id', $round->id)->where(
                fn ($query) => $query->where(fn ($flag) => $flag->whereNotNull('flagged_at')->whereNull('flag_decided_at'))
                    ->orWhere(fn ($back) => $back->whereNotNull('returned_at')->whereNull('returned_seen_at')),
            )->count();
            $isOver = ReceivedReviews::isOver($round);
            [$what, $needs] = match (true) {
                $waiting > 0 => [trans_choice('peers.today.decide', $waiting, ['count' => $waiting]), true],
                $isOver => [__('peers.today.close', ['round' => $round->title]), true],
                $round->short > 0 => [trans_choice('peers.today.short', $round->short, ['count' => $round->short]), true],
                default => [__('peers.today.runs', ['round' => $round->title]), false],
            };
            $items[] = new TodayItem(
                $round->assignment, (string) $what, route('rounds.staff', $round), (string) __('peers.today.look'),
                $needs, $round->due_at, (string) __('peers.today.due'),
            );
        }

        return $items;
    }
}
