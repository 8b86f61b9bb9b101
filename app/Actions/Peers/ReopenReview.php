<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Mark;
use App\Models\PeerReview;
use Illuminate\Support\Facades\DB;

/**
 * Takes "done" back, until the review is due.
 */
final class ReopenReview
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(PeerReview $review): void
    {
        DB::transaction(function () use ($review): void {
            $stored = PeerReview::query()->lockForUpdate()->findOrFail($review->id);
            $mark = Mark::query()->lockForUpdate()->findOrFail($stored->mark_id);
            $why = $stored->setRelation('mark', $mark)->whyItStays();
            $why === null || throw new Refused($why);
            if (! $mark->isDone()) {
                return;
            }
            $mark->forceFill(['done_at' => null, 'total' => null, 'lock_version' => $mark->lock_version + 1])->save();
            $this->logbook->write(Entry::of(LogEvent::PeerReviewOpened)->on($stored->round->assignment)
                ->saying(title: $stored->round->title));
        });
    }
}
