<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

use Brick\Math\BigRational;

/**
 * How much each member of a group contributed, in the eyes of its members: a factor around 1, exact.
 *
 * Each rater's points are divided by their sum, so that a generous rater weighs no more than a strict one. A member's
 * share is what they were given in all; due to them is what they would have been given had every rater found all alike.
 * A factor is share ÷ due, scaled so that the factors of a group add up to its members: who is silent neither gains nor
 * loses by it.
 */
final class GroupFactors
{
    /**
     * @param  list<Rating>  $ratings  of one group; no pair stands twice
     * @param  bool  $ownCounts  whether what members give themselves counts
     * @param  bool  $silentIsEven  whether who rated nobody counts as having given everyone the same; else as no rater
     * @return array<string, BigRational> factors by member, in the order in which they are named; they add up to as many
     *                                    as there are members
     */
    public static function of(array $ratings, bool $ownCounts, bool $silentIsEven): array
    {
        $members = self::members($ratings);
        $given = self::given($ratings, $ownCounts);
        if ($silentIsEven) {
            foreach (array_diff($members, array_keys($given)) as $silent) {
                foreach ($members as $rated) {
                    if ($ownCounts || $rated !== $silent) {
                        $given[$silent][$rated] = BigRational::one();
                    }
                }
            }
        }
        $share = $due = array_fill_keys($members, BigRational::zero());
        foreach ($given as $points) {
            $sum = BigRational::sum(...array_values($points));
            $even = BigRational::of(1)->dividedBy(count($points));
            foreach ($points as $rated => $one) {
                $share[$rated] = $share[$rated]->plus($sum->isZero() ? $even : $one->dividedBy($sum));
                $due[$rated] = $due[$rated]->plus($even);
            }
        }
        $raw = array_map(
            fn (BigRational $got, BigRational $owed) => $owed->isZero()
                ? BigRational::one()
                : $got->dividedBy($owed)->simplified(),
            array_combine($members, $share), array_combine($members, $due),
        );
        $raw = array_combine($members, $raw);
        $all = BigRational::sum(...array_values($raw));

        return array_map(
            fn (BigRational $one) => $one->multipliedBy(count($members))->dividedBy($all)->simplified(), $raw,
        );
    }

    /**
     * What a member's mark is multiplied by.
     *
     * @param  BigRational  $weight  0 (everyone has the group's mark) to 1 (the factor alone)
     */
    public static function multiplier(BigRational $factor, BigRational $weight): BigRational
    {
        return BigRational::one()->minus($weight)->plus($weight->multipliedBy($factor))->simplified();
    }

    /**
     * @param  list<Rating>  $ratings
     * @return list<string>
     */
    private static function members(array $ratings): array
    {
        $members = [];
        foreach ($ratings as $one) {
            $members[$one->rater] = true;
            $members[$one->rated] = true;
        }

        return array_map(strval(...), array_keys($members));
    }

    /**
     * @param  list<Rating>  $ratings
     * @return array<string, array<string, BigRational>> by rater and whom they rated
     */
    private static function given(array $ratings, bool $ownCounts): array
    {
        $given = [];
        foreach ($ratings as $one) {
            if ($ownCounts || $one->rater !== $one->rated) {
                $given[$one->rater][$one->rated] = $one->points->toBigRational();
            }
        }

        return $given;
    }
}
