<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Models\PeerReview;

/**
 * A coordinator has dealt with what a reviewer returned.
 */
final class SettleReturned
{
    public function __invoke(PeerReview $review): void
    {
        PeerReview::query()->whereKey($review->id)->whereNotNull('returned_at')->whereNull('returned_seen_at')
            ->update(['returned_seen_at' => now()]);
    }
}
