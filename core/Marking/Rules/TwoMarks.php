<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking\Rules;

use Brick\Math\BigRational;
use YoungHarbor\Core\Marking\Seat;

/**
 * What rules have in common that settle a first and a second mark: both are used, whichever mark comes out.
 *
 * @internal
 */
trait TwoMarks
{
    public function needs(): array
    {
        return [Seat::First, Seat::Second];
    }

    public function uses(array $done): array
    {
        return $done;
    }

    public function apart(array $used): BigRational
    {
        return Totals::widest($used);
    }

    public function isDecision(): bool
    {
        return false;
    }
}
