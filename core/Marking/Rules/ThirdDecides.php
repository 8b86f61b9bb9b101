<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking\Rules;

use Brick\Math\BigRational;
use LogicException;
use YoungHarbor\Core\Marking\Seat;

/**
 * The mark of the third marker, who has read what the others say. Being a person's decision, it may lie on the other
 * side of the pass line than one of theirs, and then carries a reason.
 */
final readonly class ThirdDecides implements Rule
{
    use ThreeMarks;

    public function uses(array $done): array
    {
        return $done;
    }

    public function apart(array $used): null
    {
        return null;
    }

    public function isDecision(): bool
    {
        return true;
    }

    public function mark(array $used): BigRational
    {
        foreach ($used as $mark) {
            if ($mark->seat === Seat::Third) {
                return Totals::of($mark);
            }
        }
        throw new LogicException('There is no third mark.');
    }
}
