<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Models\Round;
use App\Models\RoundMember;
use App\Peers\MemberTimes;

/**
 * Writes when reviews are due for each student of a round, after its times have changed.
 */
final class SetMemberTimes
{
    public function __invoke(Round $round): void
    {
        $days = MemberTimes::extraDays($round);
        foreach (RoundMember::query()->where('round_id', $round->id)->get(['id', 'user_id', 'due_at']) as $member) {
            $due = MemberTimes::dueFor($round, $days[$member->user_id] ?? 0);
            $due->equalTo($member->due_at) || $member->update(['due_at' => $due]);
        }
    }
}
