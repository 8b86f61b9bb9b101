<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Exceptions\Refused;
use App\Models\Contribution;
use App\Models\ContributionRating;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Peers\ContributionSettings;

/**
 * A member of a group says what each member contributed. It can be changed until it is due; nobody but staff sees it.
 */
final class RateMembers
{
    /**
     * @param  array<string, array<int, int>>  $points  by a member's public id, 0 to 4 for each criterion in their order
     * @param  array<string, string>  $notes  by the same
     *
     * @throws Refused
     */
    public function __invoke(Contribution $contribution, array $points, array $notes, User $by): void
    {
        DB::transaction(function () use ($contribution, $points, $notes, $by): void {
            $stored = Contribution::query()->lockForUpdate()->findOrFail($contribution->id);
            $stored->takesRatings() || throw new Refused((string) __(
                $stored->isClosed() ? 'contribution.closed_meanwhile' : 'contribution.over',
            ));
            $own = Script::query()->where('assignment_id', $stored->assignment_id)->where('student_id', $by->id)
                ->firstOrFail();
            $members = $own->group()->whereNull('left_at');
            $members->count() > 1 || throw new Refused((string) __('contribution.alone'));
            $missing = [];
            foreach ($members as $member) {
                $given = $points[$member->student->public_id] ?? [];
                foreach (array_keys($stored->settings->criteria) as $n) {
                    $one = $given[$n] ?? null;
                    $one !== null && $one >= 0 && $one <= ContributionSettings::MOST_POINTS
                        || $missing[$member->student->name] = true;
                }
            }
            $missing === [] || throw new Refused(
                (string) __('contribution.incomplete', ['who' => implode(', ', array_keys($missing))]), 'points',
            );
            foreach ($members as $member) {
                $id = $member->student->public_id;
                ContributionRating::query()->updateOrCreate(
                    ['contribution_id' => $stored->id, 'rater_id' => $own->id, 'rated_id' => $member->id],
                    [
                        'points' => array_map(
                            fn (int $n) => $points[$id][$n], array_keys($stored->settings->criteria),
                        ), 'note' => $notes[$id] ?? '',
                    ],
                );
            }
        });
    }
}
