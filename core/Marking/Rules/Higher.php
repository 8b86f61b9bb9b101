<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking\Rules;

use Brick\Math\BigRational;

/**
 * The higher of two marks.
 */
final readonly class Higher implements Rule
{
    use TwoMarks;

    public function mark(array $used): BigRational
    {
        $totals = Totals::inOrder($used);

        return $totals[count($totals) - 1];
    }
}
