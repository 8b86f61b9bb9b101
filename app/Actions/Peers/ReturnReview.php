<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Enums\WhyReturned;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\PeerReview;
use App\Models\Round;
use App\Peers\TellOfRound;
use Illuminate\Support\Facades\DB;

/**
 * A student says that they cannot review a work. It goes to the coordinator, and another reviewer is looked for at
 * once.
 */
final class ReturnReview
{
    public function __construct(
        private readonly PlanReviews $plan,
        private readonly TellOfRound $tell,
        private readonly Logbook $logbook,
    ) {
    }

    /**
     * @throws Refused
     */
    public function __invoke(PeerReview $review, WhyReturned $why, string $text): void
    {
        DB::transaction(function () use ($review, $why, $text): void {
            $round = Round::query()->lockForUpdate()->findOrFail($review->round_id);
            $stored = PeerReview::query()->lockForUpdate()->findOrFail($review->id);
            $round->isClosed() && throw new Refused((string) __('peers.closed_no_change'));
            $stored->own && throw new Refused((string) __('peers.own_not_returned'));
            if ($stored->returned_at !== null) {
                return;
            }
            $stored->mark->isDone() && throw new Refused((string) __('peers.done_not_returned'));
            $stored->update(['returned_at' => now(), 'returned_why' => $why, 'returned_text' => $text]);
            $this->logbook->write(Entry::of(LogEvent::PeerReviewReturned)->on($round->assignment)
                ->because($text)->saying(title: $round->title));
            $this->tell->returned($stored);
            ($this->plan)($round, null);
        });
    }
}
