<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking\Rules;

use Brick\Math\BigRational;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SeatMark;

/**
 * How the marks of a script become its agreed mark. Everything is a fraction: nothing is rounded here.
 */
interface Rule
{
    /**
     * How many finished marks it needs in which seats.
     *
     * @return list<Seat> a seat as often as it needs marks in it
     */
    public function needs(): array;

    /**
     * The marks it settles from, of those that are there: these have to lie on one side of the pass line.
     *
     * @param  non-empty-list<SeatMark>  $done
     * @return non-empty-list<SeatMark>
     */
    public function uses(array $done): array;

    /**
     * How far apart the marks are that the tolerance is about, in marks; null when the tolerance is not asked.
     *
     * @param  non-empty-list<SeatMark>  $used
     */
    public function apart(array $used): ?BigRational;

    /**
     * Whether the mark is a person's decision, which may cross the pass line and then needs a reason.
     */
    public function isDecision(): bool;

    /**
     * @param  non-empty-list<SeatMark>  $used  all done
     */
    public function mark(array $used): BigRational;
}
