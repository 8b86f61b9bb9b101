<?php

declare(strict_types=1);

namespace App\Peers;

use App\Enums\NoticeKind;
use App\Models\Contribution;
use App\Models\ContributionRating;
use App\Models\Script;
use App\Notices\NewNotice;
use App\Notices\Notices;
use App\Wording\LocalTime;
use Illuminate\Support\Collection;

/**
 * Tells members of groups that they are asked who did how much. Within the transaction of what happened.
 */
final class TellOfContribution
{
    public function __construct(private readonly Notices $notices)
    {
    }

    public function asked(Contribution $contribution): void
    {
        $this->tell($contribution, Contributions::groups($contribution)->flatten(1), 'contribution_asked', 'asked');
    }

    /** Those who have said nothing yet, before it is due. */
    public function remind(Contribution $contribution): void
    {
        $said = ContributionRating::query()->where('contribution_id', $contribution->id)->distinct()->pluck('rater_id');
        $this->tell(
            $contribution, Contributions::groups($contribution)->flatten(1)
                ->reject(fn (Script $one) => $said->contains($one->id)), 'contribution_due',
            'due:'.$contribution->due_at->timestamp,
        );
    }

    /**
     * @param  Collection<int, Script>  $scripts
     */
    private function tell(Contribution $contribution, Collection $scripts, string $words, string $once): void
    {
        $this->notices->make(array_values($scripts->map(function (Script $one) use (
            $contribution, $words, $once,
        ): NewNotice {
            $values = [
                'assignment' => $contribution->assignment->title, 'name' => $one->student->name,
                'due' => LocalTime::shown($contribution->due_at), 'link' => route('contributions.show', $contribution),
            ];
            $title = (string) __("notices.{$words}", $values);

            return new NewNotice(
                $one->student, NoticeKind::PeerReviewGiven, "contribution:{$once}:{$contribution->public_id}:{$one->id}",
                $title, route('contributions.show', $contribution, false), $contribution->assignment, $title,
                (string) __("notices.{$words}_body", $values),
            );
        })->all()));
    }
}
