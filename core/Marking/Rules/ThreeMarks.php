<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking\Rules;

use YoungHarbor\Core\Marking\Seat;

/**
 * What rules have in common that settle a first, a second and a third mark by a figure.
 *
 * @internal
 */
trait ThreeMarks
{
    public function needs(): array
    {
        return [Seat::First, Seat::Second, Seat::Third];
    }

    public function isDecision(): bool
    {
        return false;
    }
}
