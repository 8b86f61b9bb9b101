<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking\Rules;

use Brick\Math\BigRational;
use LogicException;
use YoungHarbor\Core\Marking\SeatMark;

/**
 * Totals of finished marks, as fractions.
 */
final class Totals
{
    public static function of(SeatMark $mark): BigRational
    {
        return $mark->total ?? throw new LogicException("The {$mark->seat->value} mark is not done.");
    }

    /**
     * @param  non-empty-list<SeatMark>  $marks
     * @return non-empty-list<BigRational> the lowest first
     */
    public static function inOrder(array $marks): array
    {
        $totals = array_map(self::of(...), $marks);
        usort($totals, fn (BigRational $a, BigRational $b) => $a->compareTo($b));

        return $totals;
    }

    /**
     * From the lowest to the highest; 0 for one mark.
     *
     * @param  non-empty-list<SeatMark>  $marks
     */
    public static function widest(array $marks): BigRational
    {
        $totals = self::inOrder($marks);

        return $totals[count($totals) - 1]->minus($totals[0]);
    }

    /**
     * @param  non-empty-list<SeatMark>  $marks
     */
    public static function mean(array $marks): BigRational
    {
        $sum = BigRational::zero();
        foreach ($marks as $mark) {
            $sum = $sum->plus(self::of($mark));
        }

        return $sum->dividedBy(count($marks))->simplified();
    }

    /**
     * The middle one; of an even number the mean of the two in the middle.
     *
     * @param  non-empty-list<SeatMark>  $marks
     */
    public static function median(array $marks): BigRational
    {
        $totals = self::inOrder($marks);
        $n = count($totals);

        return $totals[intdiv($n - 1, 2)]->plus($totals[intdiv($n, 2)])->dividedBy(2)->simplified();
    }
}
