<?php

declare(strict_types=1);

namespace App\Queries\Peers;

use App\Models\Assignment;
use App\Models\Contribution;
use App\Models\ContributionFactor;
use App\Models\ContributionRating;
use App\Models\Script;
use App\Peers\Contributions;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Illuminate\Database\Eloquent\Collection;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Marks\Contribution as Step;
use YoungHarbor\Core\Peers\ContributionDoubt;
use YoungHarbor\Core\Peers\ContributionSettings;

/**
 * Who said how much of whom, group by group, as coordinators see it: by name, and without any mark.
 */
final readonly class ContributionPage
{
    /** A mark of a group, to show what a multiplier does. */
    public const EXAMPLE = 60;

    /**
     * @param  list<array{name: string, members: list<array{script: Script, step: Step, set: ContributionFactor|null,
     *     example: string, given: array<int, int|null>}>, rated: int, doubts: list<string>}>  $groups
     * @param  list<array{string, string}>  $notes  who, of whom, and what they wrote to staff
     */
    private function __construct(
        public ?Contribution $contribution, public ContributionSettings $settings, public array $groups,
        public array $notes, public int $rated, public int $asked, public bool $isOut = false,
    ) {
    }

    public static function of(Assignment $assignment): self
    {
        $contribution = $assignment->contribution;
        if ($contribution === null) {
            return new self(null, ContributionSettings::usual(), [], [], 0, 0);
        }
        $groups = Contributions::groups($contribution);
        $ratings = Contributions::ratings($contribution, $groups);
        $rows = ContributionRating::query()->where('contribution_id', $contribution->id)->get();
        $set = ContributionFactor::query()->where('contribution_id', $contribution->id)->get()
            ->each(fn (ContributionFactor $one) => $one->setRelation('contribution', $contribution))->keyBy('script_id');
        $names = [];
        $found = [];
        $notes = [];
        foreach ($groups as $name => $group) {
            foreach ($group as $one) {
                $names["script {$one->id}"] = $one->student->name;
            }
            $factors = $ratings[$name]->factors($contribution->settings);
            $found[] = [
                'name' => $name,
                'members' => self::members($contribution, $group, $factors, $set, $rows),
                'rated' => $group->filter(fn (Script $one) => $rows->contains('rater_id', $one->id))->count(),
                'doubts' => array_map(fn (array $doubt) => self::said($doubt, $names), $ratings[$name]->doubts()),
            ];
        }
        foreach ($rows as $row) {
            $from = $names["script {$row->rater_id}"] ?? null;
            $row->note === '' || $from === null
                || $notes[] = [$from.' on '.($names["script {$row->rated_id}"] ?? '?'), $row->note];
        }

        return new self(
            $contribution, $contribution->settings, $found, $notes,
            array_sum(array_column($found, 'rated')), $groups->sum(fn (Collection $group) => $group->count()),
            $assignment->results_out_at !== null,
        );
    }

    /**
     * @param  Collection<int, Script>  $group
     * @param  array<string, BigRational>  $factors
     * @param  \Illuminate\Support\Collection<int, ContributionFactor>  $set
     * @param  Collection<int, ContributionRating>  $rows
     * @return list<array{script: Script, step: Step, set: ContributionFactor|null, example: string, given: array<int, int|null>}>
     */
    private static function members(
        Contribution $contribution, Collection $group, array $factors, \Illuminate\Support\Collection $set,
        Collection $rows,
    ): array {
        $settings = $contribution->settings;
        $members = [];
        foreach ($group as $one) {
            $stored = $set->get($one->id);
            $step = $stored?->toCore() ?? new Step(
                $factors["script {$one->id}"], $settings->weight, $settings->floor, $settings->cap,
            );
            $given = [];
            foreach ($group as $rater) {
                $given[$rater->id] = $rows->first(
                    fn (ContributionRating $row) => $row->rater_id === $rater->id && $row->rated_id === $one->id,
                )?->total();
            }
            $members[] = [
                'script' => $one, 'step' => $step, 'set' => $stored?->set_at === null ? null : $stored,
                'example' => Figure::plain(
                    BigRational::min(100, $step->of(BigRational::of(self::EXAMPLE)))->toScale(1, RoundingMode::HALF_UP),
                ),
                'given' => $given,
            ];
        }

        return $members;
    }

    /**
     * @param  array{ContributionDoubt, non-empty-list<string>}  $doubt
     * @param  array<string, string>  $names
     */
    private static function said(array $doubt, array $names): string
    {
        [$what, $who] = $doubt;

        return (string) __("contribution.doubt.{$what->value}", [
            'a' => $names[$who[0]] ?? '?', 'b' => $names[$who[1] ?? ''] ?? '', 'c' => $names[$who[2] ?? ''] ?? '',
        ]);
    }
}
