<?php

declare(strict_types=1);

namespace App\Queries\Peers;

use App\Models\PeerReview;
use App\Models\Round;
use App\Models\RoundMember;
use App\Models\RoundWork;
use App\Models\Script;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use YoungHarbor\Core\Peers\ReviewsSeen;

/**
 * The reviews of a student's work that they may read.
 */
final class ReceivedReviews
{
    /**
     * In the order that was drawn for them, which tells nothing of who wrote them or when.
     *
     * @return Collection<int, PeerReview>
     */
    public static function of(Round $round, Script $script, ?RoundMember $member): Collection
    {
        $work = RoundWork::query()->where('round_id', $round->id)->where('script_id', $script->lead_id ?? $script->id)
            ->first();
        if ($work === null || ! self::areSeen($round, $member)) {
            return new Collection;
        }

        return PeerReview::query()->where('round_work_id', $work->id)->where('own', false)->whereNull('returned_at')
            ->whereNull('hidden_at')->whereHas('mark', fn ($mark) => $mark->whereNotNull('done_at'))
            ->with('mark.rubricVersion', 'mark.handin', 'member.user')->orderBy('place')->orderBy('public_id')->get()
            ->each(fn (PeerReview $one) => $one->setRelation('round', $round)->setRelation('work', $work));
    }

    public static function areSeen(Round $round, ?RoundMember $member): bool
    {
        return $round->isClosed() || match ($round->settings->seen) {
            ReviewsSeen::Closed => false,
            ReviewsSeen::Due => self::isOver($round),
            ReviewsSeen::OwnDone => $member === null ? self::isOver($round)
                : PeerReview::query()->where('round_member_id', $member->id)->where('own', false)
                    ->whereNull('returned_at')->whereHas('mark', fn ($mark) => $mark->whereNull('done_at'))
                    ->doesntExist(),
        };
    }

    /** Whether the time for reviewing is over for everyone, for those too who are allowed more. */
    public static function isOver(Round $round): bool
    {
        $last = RoundMember::query()->where('round_id', $round->id)->whereNull('left_at')->max('due_at');

        return $round->given_at !== null && now()->gte(is_string($last) ? $last : $round->due_at);
    }

    public static function mayRead(User $user, PeerReview $review): bool
    {
        $script = Script::query()->where('assignment_id', $review->round->assignment_id)
            ->where('student_id', $user->id)->first();
        $member = RoundMember::query()->where('round_id', $review->round_id)->where('user_id', $user->id)->first();

        return $script !== null && $user->roleIn($review->round->assignment->module_id) !== null
            && self::of($review->round, $script, $member)->contains('id', $review->id);
    }
}
