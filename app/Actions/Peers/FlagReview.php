<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Enums\WhyFlagged;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\PeerReview;
use App\Peers\TellOfRound;
use Illuminate\Support\Facades\DB;

/**
 * An author tells the coordinators that something is wrong with a review of their work.
 */
final class FlagReview
{
    public function __construct(private readonly TellOfRound $tell, private readonly Logbook $logbook)
    {
    }

    public function __invoke(PeerReview $review, WhyFlagged $why, string $text): void
    {
        DB::transaction(function () use ($review, $why, $text): void {
            $stored = PeerReview::query()->lockForUpdate()->findOrFail($review->id);
            if ($stored->flagged_at !== null) {
                return;
            }
            $stored->update(['flagged_at' => now(), 'flag_why' => $why, 'flag_text' => $text]);
            $this->logbook->write(Entry::of(LogEvent::PeerReviewFlagged)->on($stored->round->assignment)
                ->because($text)->saying(title: $stored->round->title));
            $this->tell->flagged($stored);
        });
    }
}
