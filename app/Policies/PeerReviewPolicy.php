<?php

declare(strict_types=1);

namespace App\Policies;

use App\Enums\Role;
use App\Models\PeerReview;
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
            default => Response::allow(),
        };
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
