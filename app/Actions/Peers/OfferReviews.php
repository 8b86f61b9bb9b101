<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Exceptions\Refused;
use App\Models\Round;
use App\Models\RoundMember;
use Illuminate\Support\Facades\DB;

/**
 * A student offers to write more reviews than they have to, and gets one at once where one is needed.
 */
final class OfferReviews
{
    public const MOST = 3;

    public function __construct(private readonly PlanReviews $plan)
    {
    }

    /**
     * @return bool whether there is more for them to do now
     *
     * @throws Refused
     */
    public function __invoke(RoundMember $member, int $extra): bool
    {
        return DB::transaction(function () use ($member, $extra): bool {
            $round = Round::query()->lockForUpdate()->findOrFail($member->round_id);
            $round->isUnderWay() || throw new Refused((string) __('peers.closed_no_change'));
            $stored = RoundMember::query()->lockForUpdate()->findOrFail($member->id);
            $before = $stored->reviews()->whereNull('returned_at')->count();
            $stored->update(['extra' => max(0, min(self::MOST, $extra))]);
            $round->short > 0 && ($this->plan)($round, null);

            return $stored->reviews()->whereNull('returned_at')->count() > $before;
        });
    }
}
