<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

/**
 * Some words of a text in a row, and why they are named.
 */
final readonly class Interval
{
    /**
     * @param  int  $from  word offset
     * @param  int  $to  exclusive
     */
    public function __construct(
        public string $why,
        public int $from,
        public int $to,
    ) {
    }

    public function words(): int
    {
        return $this->to - $this->from;
    }
}
