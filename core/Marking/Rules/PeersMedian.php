<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking\Rules;

use Brick\Math\BigRational;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SeatMark;

/**
 * The median of the peers' marks: one careless or unkind reviewer among several moves it little.
 */
final readonly class PeersMedian implements Rule
{
    public function needs(): array
    {
        return [Seat::Peer];
    }

    public function uses(array $done): array
    {
        $peers = array_values(array_filter($done, fn (SeatMark $mark) => $mark->seat === Seat::Peer));

        return $peers === [] ? $done : $peers;
    }

    public function apart(array $used): null
    {
        return null;
    }

    public function isDecision(): bool
    {
        return false;
    }

    public function mark(array $used): BigRational
    {
        return Totals::median($used);
    }
}
