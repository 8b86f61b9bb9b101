<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Collect;

/**
 * When work came in, counted by equal spans of time around the due time, so that the usual wave of the last hour shows.
 */
final readonly class Arrivals
{
    /** Spans that are tried, in seconds, the shortest that needs no more bars than asked for is taken. */
    private const SPANS = [300, 900, 1800, 3600, 7200, 10800, 21600, 43200, 86400, 172800, 604800, 2419200];

    /**
     * @param  int  $from  start of the first bar, seconds since 1970
     * @param  int  $span  seconds a bar stands for
     * @param  list<int>  $bars
     * @param  int  $due  how many bars lie before the due time
     * @param  int  $lastHour  how many came in the hour before the due time
     */
    private function __construct(
        public int $from,
        public int $span,
        public array $bars,
        public int $due,
        public int $lastHour,
    ) {
    }

    /**
     * @param  array<int, int>  $counts  how many came in, by the second they did
     * @param  int  $due  seconds since 1970; a bar begins or ends there
     * @param  int  $most  bars at most
     */
    public static function of(array $counts, int $due, int $most = 48): self
    {
        $times = array_keys($counts);
        $first = min([$due - 1, ...$times]);
        $last = max([$due, ...$times]);
        $span = self::SPANS[array_key_last(self::SPANS)];
        foreach (self::SPANS as $try) {
            if (intdiv($due - $first + $try - 1, $try) + intdiv($last - $due, $try) + 1 <= $most) {
                $span = $try;
                break;
            }
        }
        $before = intdiv($due - $first + $span - 1, $span);
        $from = $due - $before * $span;
        $bars = array_fill(0, $before + max(1, intdiv($last - $due, $span) + 1), 0);
        foreach ($counts as $at => $n) {
            // On the second of the due time is still in time.
            $bar = $at === $due ? $before - 1 : intdiv($at - $from, $span);
            if (isset($bars[$bar])) {
                $bars[$bar] += $n;
            }
        }

        $lastHour = array_sum(
            array_filter($counts, fn (int $at) => $at <= $due && $at > $due - 3600, ARRAY_FILTER_USE_KEY)
        );

        return new self($from, $span, $bars, $before, $lastHour);
    }

    /** How long a bar is, in words. */
    public function spanInWords(): string
    {
        return match (true) {
            $this->span < 3600 => intdiv($this->span, 60).' minutes',
            $this->span < 86400 => intdiv($this->span, 3600) === 1 ? 'hour' : intdiv($this->span, 3600).' hours',
            default => intdiv($this->span, 86400) === 1 ? 'day' : intdiv($this->span, 86400).' days',
        };
    }
}
