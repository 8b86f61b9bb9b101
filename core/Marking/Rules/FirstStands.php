<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking\Rules;

use Brick\Math\BigRational;

/**
 * The first mark, which the second confirms by lying near it.
 */
final readonly class FirstStands implements Rule
{
    use TwoMarks;

    public function mark(array $used): BigRational
    {
        return Totals::of($used[0]);
    }
}
