<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Exceptions\Refused;
use App\Models\Round;
use App\Models\RoundMember;
use App\Peers\TellOfRound;
use App\Queries\Peers\ReceivedReviews;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use YoungHarbor\Core\Peers\ReviewsSeen;

/**
 * What rounds do by their times: reviews are given out, planned anew, reminded of, and shown to authors.
 */
final class RunRounds
{
    /** Hours before reviews are due that those are reminded who have some to write. */
    private const REMIND_HOURS = 24;

    public function __construct(private readonly PlanReviews $plan, private readonly TellOfRound $tell)
    {
    }

    /**
     * @return int rounds something was done in
     */
    public function __invoke(): int
    {
        $done = 0;
        Round::query()->whereNull('closed_at')->whereNotNull('opened_at')->with('assignment.module')
            ->eachById(function (Round $round) use (&$done): void {
                try {
                    $done += $this->run($round) ? 1 : 0;
                } catch (Refused $e) {
                    Log::warning("Round {$round->public_id}: {$e->getMessage()}");
                }
            });

        return $done;
    }

    private function run(Round $round): bool
    {
        if ($round->given_at === null ? $round->begins_at->isPast() : $round->isToPlanAnew()) {
            ($this->plan)($round, null);
            $round->refresh();
        }
        if ($round->given_at === null) {
            return false;
        }
        $this->remind($round);
        if ($round->settings->seen === ReviewsSeen::Due && ReceivedReviews::isOver($round)) {
            DB::transaction(fn () => $this->tell->reviewsSeen($round));
        }

        return true;
    }

    /** Once, before reviews are due. */
    private function remind(Round $round): void
    {
        if (
            $round->reminded_at !== null || now()->lt($round->due_at->copy()->subHours(self::REMIND_HOURS))
            || $round->due_at->isPast()
        ) {
            return;
        }
        DB::transaction(function () use ($round): void {
            $members = RoundMember::query()->where('round_id', $round->id)->whereNull('left_at')
                ->whereHas('reviews', fn ($review) => $review->whereNull('returned_at')
                    ->whereHas('mark', fn ($mark) => $mark->whereNull('done_at')))->with('user')->get();
            $this->tell->remind($round, $members);
            $round->update(['reminded_at' => now()]);
        });
    }
}
