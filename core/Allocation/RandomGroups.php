<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Allocation;

use Random\Engine\Mt19937;
use Random\Randomizer;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Groups drawn at random. The same members, size and seed give the same groups.
 */
final class RandomGroups
{
    /**
     * As many groups of the size asked for as there can be; who is left over makes some of them larger by one, or a
     * group of their own when that would make one larger by more.
     *
     * @template T of int|string
     *
     * @param  list<T>  $members
     * @param  int  $size  2 to 20
     * @return list<list<T>>
     *
     * @throws InvalidInput for a size out of range
     */
    public static function of(array $members, int $size, int $seed): array
    {
        if ($size < 2 || $size > 20) {
            throw InvalidInput::at('size', 'a group has 2 to 20 members');
        }
        if ($members === []) {
            return [];
        }
        sort($members);
        $shuffled = (new Randomizer(new Mt19937($seed)))->shuffleArray($members);
        $whole = intdiv(count($shuffled), $size);
        $left = count($shuffled) % $size;
        $groups = $whole === 0 ? 1 : ($left > $whole ? $whole + 1 : $whole);
        $made = array_fill(0, $groups, []);
        foreach ($shuffled as $n => $member) {
            $made[$n % $groups][] = $member;
        }

        return $made;
    }
}
