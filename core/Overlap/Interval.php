<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

use YoungHarbor\Core\Text\Words;

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

    /**
     * The words that stand wholly between places of a text.
     *
     * @param  list<array{int, int}>  $places  byte offsets, ends exclusive, in order and apart
     * @return list<self> a place without a word gives none
     */
    public static function within(Words $words, string $why, array $places): array
    {
        $intervals = [];
        $at = 0;
        foreach ($places as [$from, $to]) {
            while ($at < $words->count() && $words->list[$at]->start < $from) {
                $at++;
            }
            $first = $at;
            while ($at < $words->count() && $words->list[$at]->end <= $to) {
                $at++;
            }
            if ($at > $first) {
                $intervals[] = new self($why, $first, $at);
            }
        }

        return $intervals;
    }

    public function words(): int
    {
        return $this->to - $this->from;
    }
}
