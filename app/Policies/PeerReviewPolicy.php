<?php

declare(strict_types=1);

namespace App\Policies;

use App\Enums\Role;
use App\Models\PeerReview;
use App\Models\Result;
use App\Models\User;
use App\Queries\Peers\ReceivedReviews;
use App\Queries\Peers\TrialsAsked;
use Illuminate\Auth\Access\Response;

final class PeerReviewPolicy
{
    /** A review is its reviewer's alone while it is written. */
    public function write(User $user, PeerReview $review): Response
    {
        return match (true) {
            $user->roleIn($review->round->assignment->module_id) !== Role::Student => Response::deny(
                (string) __('peers.not_in_module'),
            ),
            $review->member->user_id !== $user->id => Response::deny((string) __('peers.not_yours')),
            $review->returned_at !== null => Response::deny((string) __('peers.returned_by_you')),
            ! $review->own && ! TrialsAsked::of($review->round, $review->member)->allowReviewing() => Response::deny(
                (string) __('peers.trials_first'),
            ),
            ! $review->own && self::waitsForOwn($review) => Response::deny((string) __('peers.self_first')),
            default => Response::allow(),
        };
    }

    /** Whether one's own work is to be rated first, and is not. */
    private static function waitsForOwn(PeerReview $review): bool
    {
        return $review->round->settings->selfFirst && $review->mark->begun_at === null && PeerReview::query()
            ->where('round_member_id', $review->round_member_id)->where('own', true)
            ->whereHas('mark', fn ($mark) => $mark->whereNull('done_at'))->exists();
    }

    /** Who rated their own work says what they learnt, once they have its result. */
    public function learn(User $user, PeerReview $review): bool
    {
        return $review->own && $review->member->user_id === $user->id && $review->mark->isDone()
            && Result::query()->whereHas('script', fn ($script) => $script->where('student_id', $user->id)
                ->where('assignment_id', $review->round->assignment_id))->exists();
    }

    /** Whose work it is reads it once the round shows it. */
    public function read(User $user, PeerReview $review): Response
    {
        return ReceivedReviews::mayRead($user, $review)
            ? Response::allow() : Response::deny((string) __('peers.not_to_read'));
    }

    public function coordinate(User $user, PeerReview $review): bool
    {
        return $user->coordinates($review->round->assignment->module_id);
    }
}
