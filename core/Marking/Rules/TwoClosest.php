<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking\Rules;

use Brick\Math\BigRational;
use YoungHarbor\Core\Marking\SeatMark;

/**
 * The mean of the two of three marks that lie closest to each other; with equal gaps, the mark in the middle.
 */
final readonly class TwoClosest implements Rule
{
    use ThreeMarks;

    public function uses(array $done): array
    {
        if (count($done) < 3) {
            return $done;
        }
        usort($done, fn (SeatMark $a, SeatMark $b) => Totals::of($a)->compareTo(Totals::of($b)));
        $below = Totals::of($done[1])->minus(Totals::of($done[0]));
        $above = Totals::of($done[2])->minus(Totals::of($done[1]));

        return match ($below->compareTo($above)) {
            -1 => [$done[0], $done[1]],
            1 => [$done[1], $done[2]],
            default => $done,
        };
    }

    public function apart(array $used): BigRational
    {
        // Of equal gaps each is half of the whole width.
        return Totals::widest($used)->dividedBy(count($used) === 3 ? 2 : 1);
    }

    public function mark(array $used): BigRational
    {
        return Totals::median($used);
    }
}
