<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking\Rules;

use Brick\Math\BigRational;

/**
 * The median of three marks. It settles when one of the others lies within the tolerance of it: three marks that all
 * disagree have a median too, and nobody would stand for it.
 */
final readonly class Median implements Rule
{
    use ThreeMarks;

    public function uses(array $done): array
    {
        return $done;
    }

    public function apart(array $used): BigRational
    {
        $totals = Totals::inOrder($used);
        $gap = $totals[count($totals) - 1]->minus($totals[0]);
        for ($i = 1; $i < count($totals); $i++) {
            $gap = BigRational::min($gap, $totals[$i]->minus($totals[$i - 1]));
        }

        return $gap;
    }

    public function mark(array $used): BigRational
    {
        return Totals::median($used);
    }
}
