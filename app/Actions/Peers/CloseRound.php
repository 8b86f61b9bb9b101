<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Round;
use App\Models\RoundMember;
use App\Models\RoundWork;
use App\Models\User;
use App\Peers\CombinedWorks;
use App\Peers\ReviewerFacts;
use App\Peers\TellOfRound;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Peers\ReviewingMark;

/**
 * Ends a round: peers' marks are combined, reviewing is marked, nothing changes any more, and what joins the marks of
 * the assignment is fixed.
 */
final class CloseRound
{
    public function __construct(
        private readonly CombinedWorks $combined,
        private readonly ReviewerFacts $facts,
        private readonly TellOfRound $tell,
        private readonly Logbook $logbook,
    ) {
    }

    /**
     * @throws Refused
     */
    public function __invoke(Round $round, User $by): void
    {
        DB::transaction(function () use ($round, $by): void {
            $stored = Round::query()->with('assignment')->lockForUpdate()->findOrFail($round->id);
            if ($stored->isClosed()) {
                return;
            }
            $stored->given_at === null && throw new Refused((string) __('peers.close_before_given'));
            $last = RoundMember::query()->where('round_id', $stored->id)->whereNull('left_at')->max('due_at');
            is_string($last) && now()->lt($last)
                && throw new Refused((string) __('peers.close_before_due'));
            $marks = $this->combined->of($stored);
            foreach (RoundWork::query()->where('round_id', $stored->id)->get() as $work) {
                isset($marks[$work->id]) && $work->update($marks[$work->id]);
            }
            $this->markReviewing($stored);
            $stored->update(['closed_at' => now()]);
            $this->logbook->write(
                Entry::of(LogEvent::RoundClosed)->on($stored->assignment)->with(scripts: count($marks))
                    ->saying(title: $stored->title)->by($by),
            );
            $this->tell->closed($stored);
        });
    }

    private function markReviewing(Round $round): void
    {
        $facts = $this->facts->of($round);
        foreach (RoundMember::query()->where('round_id', $round->id)->get() as $member) {
            $mark = isset($facts[$member->id])
                ? ReviewingMark::of($facts[$member->id], $round->settings->weights)
                : null;
            $mark === null || $member->update([
                'reviewing_mark' => (string) $mark->mark, 'reviewing_working' => $mark->working->toArray(),
            ]);
        }
    }
}
