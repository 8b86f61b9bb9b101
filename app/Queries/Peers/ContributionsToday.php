<?php

declare(strict_types=1);

namespace App\Queries\Peers;

use App\Enums\Role;
use App\Models\Contribution;
use App\Models\ContributionRating;
use App\Models\Membership;
use App\Models\Script;
use App\Models\User;
use App\Queries\TodayItem;

/**
 * What the rating of parts in groups asks of someone today.
 */
final class ContributionsToday
{
    /**
     * @return list<TodayItem>
     */
    public function of(User $person): array
    {
        $as = fn (Role $role): array => array_values($person->memberships->filter(
            fn (Membership $one) => $one->left_at === null && $one->role === $role,
        )->pluck('module_id')->all());
        $items = [];
        foreach ($this->under($as(Role::Student)) as $one) {
            if ($one->takesRatings() && $this->hasToRate($one, $person)) {
                $items[] = new TodayItem(
                    $one->assignment, (string) __('contribution.today.rate'), route('contributions.show', $one),
                    (string) __('contribution.today.go'), true, $one->due_at, (string) __('contribution.today.due'),
                );
            }
        }
        foreach ($this->under($as(Role::Coordinator)) as $one) {
            if ($one->due_at->isPast()) {
                $items[] = new TodayItem(
                    $one->assignment, (string) __('contribution.today.close'),
                    route('contribution.index', $one->assignment), (string) __('contribution.today.look'), true, $one->due_at,
                    (string) __('contribution.today.due'),
                );
            }
        }

        return $items;
    }

    /**
     * @param  list<int>  $modules
     * @return iterable<Contribution> that are asked for and not closed
     */
    private function under(array $modules): iterable
    {
        return $modules === [] ? [] : Contribution::query()->whereNotNull('opened_at')->whereNull('closed_at')
            ->whereHas('assignment', fn ($assignment) => $assignment->whereIn('module_id', $modules))
            ->with('assignment.module')->get();
    }

    private function hasToRate(Contribution $contribution, User $person): bool
    {
        $script = Script::query()->where('assignment_id', $contribution->assignment_id)
            ->where('student_id', $person->id)->whereNull('left_at')->whereNotNull('group_name')->first();

        return $script !== null && ! ContributionRating::query()->where('contribution_id', $contribution->id)
            ->where('rater_id', $script->id)->exists()
            && $script->group()->whereNull('left_at')->count() > 1;
    }
}
