<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;

/**
 * What the members of one group gave each other: their factors, and what staff should look at.
 */
final readonly class GroupRatings
{
    /** How many times as much a pair gives each other. Common practice, no source. */
    private const TWICE = 2;

    /**
     * @param  list<string>  $members
     * @param  array<string, array<string, BigDecimal>>  $points  by rater and whom they rated; members only
     */
    public function __construct(public array $members, public array $points)
    {
    }

    /**
     * @return array<string, BigRational> by member, adding up to as many as there are members; 1 each where nothing tells
     */
    public function factors(ContributionSettings $settings): array
    {
        $ratings = [];
        foreach ($this->members as $rater) {
            foreach ($this->members as $rated) {
                $points = $this->points[$rater][$rated] ?? null;
                $points === null || $ratings[] = new Rating($rater, $rated, $points);
            }
        }
        $even = array_fill_keys($this->members, BigRational::one());
        if (count($this->members) < 2 || $ratings === []) {
            return $even;
        }

        return array_replace($even, GroupFactors::of($ratings, $settings->own, $settings->silentEven));
    }

    /**
     * @return list<array{ContributionDoubt, non-empty-list<string>}> each with the members it is about, the third last
     */
    public function doubts(): array
    {
        $found = [];
        if (count($this->members) < 2) {
            return [];
        }
        foreach ($this->members as $rater) {
            $given = array_diff_key($this->points[$rater] ?? [], [$rater => true]);
            $different = array_values(array_unique(
                array_map(fn (BigDecimal $one) => (string) $one->stripTrailingZeros(), $given),
            ));
            $doubt = match (true) {
                $given === [] => ContributionDoubt::Silent,
                $different === ['0'] => ContributionDoubt::AllZero,
                count($given) > 1 && count($different) === 1 => ContributionDoubt::SameToAll,
                default => null,
            };
            $doubt === null || $found[] = [$doubt, [$rater]];
        }

        return [...$found, ...$this->pairs()];
    }

    /**
     * @return list<array{ContributionDoubt, non-empty-list<string>}>
     */
    private function pairs(): array
    {
        $found = [];
        foreach ($this->members as $n => $a) {
            foreach (array_slice($this->members, $n + 1) as $b) {
                foreach (array_diff($this->members, [$a, $b]) as $third) {
                    $others = array_diff($this->members, [$a, $b, $third]);
                    if ($this->prefers($a, $b, $third) && $this->prefers($b, $a, $third)
                        && array_filter($others, fn (string $one) => $this->prefers($one, $a, $third)
                            || $this->prefers($one, $b, $third)) === []) {
                        $found[] = [ContributionDoubt::PairAgainstOne, [$a, $b, $third]];
                    }
                }
            }
        }

        return $found;
    }

    private function prefers(string $rater, string $to, string $third): bool
    {
        $one = $this->points[$rater][$to] ?? null;
        $other = $this->points[$rater][$third] ?? null;

        return $one !== null && $other !== null && $one->isPositive()
            && $one->isGreaterThanOrEqualTo($other->multipliedBy(self::TWICE));
    }
}
