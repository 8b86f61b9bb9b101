<?php

declare(strict_types=1);

namespace App\Peers;

use App\Models\Assignment;
use App\Models\Contribution;
use App\Models\ContributionFactor;
use App\Models\ContributionRating;
use App\Models\Script;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Collection as Models;
use Illuminate\Support\Collection;
use YoungHarbor\Core\Marks\Contribution as Step;
use YoungHarbor\Core\Peers\GroupRatings;

/**
 * The groups whose members rate each other, what they gave, and what it does to their marks.
 */
final class Contributions
{
    /**
     * What a closed rating of contributions does to each mark.
     *
     * @return array<int, Step> by script id
     */
    public static function steps(Assignment $assignment): array
    {
        $closed = Contribution::query()->where('assignment_id', $assignment->id)->whereNotNull('closed_at')->first();

        return $closed === null ? [] : ContributionFactor::query()->where('contribution_id', $closed->id)->get()
            ->mapWithKeys(fn (ContributionFactor $one) => [
                $one->script_id => $one->setRelation('contribution', $closed)->toCore(),
            ])->all();
    }

    /**
     * Groups of two members and more; who left the module belongs to none.
     *
     * @return Collection<string, Models<int, Script>> by the group's name
     */
    public static function groups(Contribution $contribution): Collection
    {
        return Script::query()->where('assignment_id', $contribution->assignment_id)->whereNull('left_at')
            ->whereNotNull('group_name')->with('student')->orderBy('group_name')->orderBy('id')->get()
            ->groupBy('group_name')->filter(fn (Models $group) => $group->count() > 1)
            ->toBase()->sortKeys(SORT_NATURAL);
    }

    /**
     * What members of these groups gave each other. Ratings by or of someone who left are no part of it.
     *
     * @param  Collection<string, Models<int, Script>>  $groups
     * @return array<string, GroupRatings> by the group's name; members are scripts by id
     */
    public static function ratings(Contribution $contribution, Collection $groups): array
    {
        $ratings = ContributionRating::query()->where('contribution_id', $contribution->id)->get()->groupBy('rater_id');
        $found = [];
        foreach ($groups as $name => $group) {
            $members = array_values($group->map(fn (Script $one) => "script {$one->id}")->all());
            $points = [];
            foreach ($group as $rater) {
                foreach ($ratings->get($rater->id) ?? [] as $one) {
                    if ($group->contains('id', $one->rated_id)) {
                        $points["script {$rater->id}"]["script {$one->rated_id}"] = BigDecimal::of($one->total());
                    }
                }
            }
            $found[$name] = new GroupRatings($members, $points);
        }

        return $found;
    }
}
