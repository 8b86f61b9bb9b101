<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\PeerReview;
use App\Models\Round;
use App\Models\User;
use App\Peers\TellOfRound;
use Illuminate\Support\Facades\DB;

/**
 * A coordinator hides a review from its author and from what peers' marks come to, or leaves it, with a reason. Until
 * the round is closed it can be decided the other way.
 */
final class DecideFlag
{
    public function __construct(private readonly TellOfRound $tell, private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(PeerReview $review, bool $hide, string $reason, User $by): void
    {
        DB::transaction(function () use ($review, $hide, $reason, $by): void {
            $round = Round::query()->lockForUpdate()->findOrFail($review->round_id);
            $stored = PeerReview::query()->lockForUpdate()->findOrFail($review->id);
            // What marks were made of stays; only what is read can still be taken away.
            $round->isClosed() && ! $hide && $stored->hidden_at !== null
                && throw new Refused((string) __('peers.closed_no_change'));
            $stored->update([
                'flag_decided_at' => now(), 'flag_decided_by' => $by->id, 'flag_reason' => $reason,
                'hidden_at' => $hide ? ($stored->hidden_at ?? now()) : null,
            ]);
            $this->logbook->write(
                Entry::of($hide ? LogEvent::PeerReviewHidden : LogEvent::PeerReviewLeft)->on($round->assignment)
                    ->because($reason)->saying(title: $round->title)->by($by),
            );
            $stored->flagged_at !== null && $this->tell->decided($stored);
        });
    }
}
