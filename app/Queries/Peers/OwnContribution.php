<?php

declare(strict_types=1);

namespace App\Queries\Peers;

use App\Models\Contribution;
use App\Models\ContributionRating;
use App\Models\Script;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;

/**
 * What one member of a group has said of its members' parts. Nothing of what others said.
 */
final readonly class OwnContribution
{
    /**
     * @param  Collection<int, Script>  $members  of the group, oneself first
     * @param  array<int, ContributionRating>  $ratings  one's own, by the script they rate
     */
    private function __construct(public Script $script, public Collection $members, public array $ratings)
    {
    }

    public static function of(Contribution $contribution, User $student): self
    {
        $script = Script::query()->where('assignment_id', $contribution->assignment_id)
            ->where('student_id', $student->id)->firstOrFail();
        $members = $script->group()->whereNull('left_at')
            ->sortBy(fn (Script $one) => [$one->id !== $script->id, $one->student->name])->values();

        return new self($script, $members, ContributionRating::query()->where('contribution_id', $contribution->id)
            ->where('rater_id', $script->id)->get()->keyBy('rated_id')->all());
    }
}
