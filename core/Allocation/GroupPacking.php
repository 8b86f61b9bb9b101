<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Allocation;

use Random\Randomizer;

/**
 * Spreads groups that stay together over markers, as evenly as it finds: a packing problem, for which no quick exact
 * way is known. The largest groups go first, each to whoever is furthest below the fair share; then single groups are
 * moved and pairs exchanged while that lowers the sum of squared distances from the fair shares; the best of several
 * orders.
 */
final class GroupPacking
{
    private const TRIES = 12;

    /** Exchanges looked at in one try: keeps thousands of groups within seconds. */
    private const LOOKS = 400_000;

    /**
     * @param  array<string, array{int, list<int>}>  $groups  size and the markers that may have it (at least one), by group
     * @param  array<int, int>  $shares
     * @param  array<int, int>  $loads  what each marker has before
     * @return array<string, int> markers by group
     */
    public static function of(array $groups, array $shares, array $loads, Randomizer $random): array
    {
        $total = array_sum($loads) + array_sum(array_column($groups, 0));
        $sum = array_sum($shares);
        $fair = array_map(fn (int $share) => $total * $share / $sum, $shares);
        $best = [];
        $least = INF;
        for ($try = 0; $try < self::TRIES; $try++) {
            $found = self::attempt($groups, $fair, $loads, $random);
            $cost = self::cost($groups, $found, $fair, $loads);
            if ($cost < $least - 1e-9) {
                [$best, $least] = [$found, $cost];
            }
        }

        return $best;
    }

    /**
     * @param  array<string, array{int, list<int>}>  $groups
     * @param  array<int, float>  $fair
     * @param  array<int, int>  $loads
     * @return array<string, int>
     */
    private static function attempt(array $groups, array $fair, array $loads, Randomizer $random): array
    {
        $order = $random->shuffleArray(array_map(strval(...), array_keys($groups)));
        usort($order, fn (string $a, string $b) => $groups[$b][0] <=> $groups[$a][0]);
        $has = [];
        foreach ($order as $group) {
            [$size, $allowed] = $groups[$group];
            $marker = $allowed[0];
            foreach ($allowed as $other) {
                if ($loads[$other] - $fair[$other] < $loads[$marker] - $fair[$marker] - 1e-9) {
                    $marker = $other;
                }
            }
            $has[$group] = $marker;
            $loads[$marker] += $size;
        }
        $looks = self::LOOKS;
        do {
            $better = false;
            foreach ($order as $group) {
                $better = self::better((string) $group, $groups, $has, $fair, $loads, $looks) || $better;
            }
        } while ($better && $looks > 0);

        return $has;
    }

    /**
     * Moves one group, or exchanges it with another, when that helps.
     *
     * @param  array<string, array{int, list<int>}>  $groups
     * @param  array<string, int>  $has
     * @param  array<int, float>  $fair
     * @param  array<int, int>  $loads
     */
    private static function better(
        string $group, array $groups, array &$has, array $fair, array &$loads, int &$looks,
    ): bool {
        [$size, $allowed] = $groups[$group];
        $from = $has[$group];
        // What moving so many scripts from one marker to another does to the sum of squares, halved.
        $gain = fn (int $to, int $by): float => $by * (
            ($loads[$from] - $fair[$from]) - ($loads[$to] - $fair[$to]) - $by
        );
        foreach ($allowed as $to) {
            if ($to !== $from && $gain($to, $size) > 1e-9) {
                $has[$group] = $to;
                $loads[$from] -= $size;
                $loads[$to] += $size;

                return true;
            }
        }
        foreach ($has as $other => $to) {
            if ($looks-- <= 0) {
                return false;
            }
            [$otherSize, $otherAllowed] = $groups[$other];
            if (
                $to !== $from && $otherSize !== $size && $gain($to, $size - $otherSize) > 1e-9
                && in_array($to, $allowed, true) && in_array($from, $otherAllowed, true)
            ) {
                [$has[$group], $has[$other]] = [$to, $from];
                $loads[$from] += $otherSize - $size;
                $loads[$to] += $size - $otherSize;

                return true;
            }
        }

        return false;
    }

    /**
     * @param  array<string, array{int, list<int>}>  $groups
     * @param  array<string, int>  $has
     * @param  array<int, float>  $fair
     * @param  array<int, int>  $loads
     */
    private static function cost(array $groups, array $has, array $fair, array $loads): float
    {
        foreach ($has as $group => $marker) {
            $loads[$marker] += $groups[$group][0];
        }

        return array_sum(array_map(fn (int $load, float $share) => ($load - $share) ** 2, $loads, $fair));
    }
}
