<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking\Rules;

use Brick\Math\BigRational;

/**
 * The mean of two marks.
 */
final readonly class Mean implements Rule
{
    use TwoMarks;

    public function mark(array $used): BigRational
    {
        return Totals::mean($used);
    }
}
