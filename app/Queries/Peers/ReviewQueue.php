<?php

declare(strict_types=1);

namespace App\Queries\Peers;

use App\Models\PeerReview;

/**
 * The reviews someone has to write in a round, in the order that was drawn for them.
 */
final class ReviewQueue
{
    /**
     * @return array{place: int, all: int, previous: PeerReview|null, next: PeerReview|null}
     */
    public static function around(PeerReview $review): array
    {
        $all = PeerReview::query()->where('round_member_id', $review->round_member_id)->where('own', false)
            ->whereNull('returned_at')->orderBy('place')->orderBy('id')->get(['id', 'public_id'])->values();
        $at = $all->search(fn (PeerReview $one) => $one->id === $review->id);

        return $at === false
            ? ['place' => 1, 'all' => 1, 'previous' => null, 'next' => null]
            : [
                'place' => $at + 1, 'all' => $all->count(), 'previous' => $all->get($at - 1), 'next' => $all->get($at + 1),
            ];
    }
}
