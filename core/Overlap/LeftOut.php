<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

/**
 * Words of a script that do not count: passages it was given, such as the brief and template files. Runs are found on
 * the whole text first; then these words are taken off, and what remains of a run still counts.
 */
final readonly class LeftOut
{
    /**
     * @param  list<array{int, int}>  $intervals  word offsets, ends exclusive, in order, none touching another
     */
    private function __construct(public array $intervals)
    {
    }

    /**
     * @param  list<string>  $script  normalised words
     * @param  list<list<string>>  $given  normalised words of each text that was given
     */
    public static function given(array $script, array $given, Alignment $alignment): self
    {
        $found = [];
        foreach ($given as $text) {
            foreach ($alignment->runs($script, $text, 'given') as $run) {
                foreach ($run->pieces as $piece) {
                    $found[] = [$piece->from, $piece->to()];
                }
            }
        }

        return new self(self::merged($found));
    }

    /**
     * @param  list<Interval>  $intervals  in any order; words in two of them are left out once
     */
    public static function of(array $intervals): self
    {
        return new self(
            self::merged(array_map(fn (Interval $interval) => [$interval->from, $interval->to], $intervals))
        );
    }

    /**
     * Only what is left out for one reason, as "given" or "quotation".
     *
     * @param  list<Interval>  $intervals
     */
    public static function because(string $why, array $intervals): self
    {
        return self::of(array_values(array_filter($intervals, fn (Interval $interval) => $interval->why === $why)));
    }

    /**
     * @param  list<array{int, int}>  $found
     * @return list<array{int, int}>
     */
    private static function merged(array $found): array
    {
        sort($found);
        $merged = [];
        foreach ($found as [$from, $to]) {
            $last = count($merged) - 1;
            if ($last >= 0 && $from <= $merged[$last][1]) {
                $merged[$last] = [$merged[$last][0], max($to, $merged[$last][1])];
            } else {
                $merged[] = [$from, $to];
            }
        }

        return $merged;
    }

    public function words(): int
    {
        return array_sum(array_map(fn (array $interval) => $interval[1] - $interval[0], $this->intervals));
    }

    /** Whether one of the places that are left out lies wholly between two words. */
    public function within(int $from, int $to): bool
    {
        foreach ($this->intervals as $interval) {
            if ($interval[0] >= $from && $interval[1] <= $to) {
                return true;
            }
        }

        return false;
    }

    /**
     * What remains of the runs; a run of which nothing remains is gone.
     *
     * @param  list<Run>  $runs
     * @return list<Run>
     */
    public function from(array $runs): array
    {
        $left = [];
        foreach ($runs as $run) {
            $pieces = [];
            foreach ($run->pieces as $piece) {
                array_push($pieces, ...$this->without($piece));
            }
            if ($pieces !== []) {
                $left[] = new Run($run->source, $pieces);
            }
        }

        return $left;
    }

    /**
     * @return list<Piece>
     */
    private function without(Piece $piece): array
    {
        $kept = [];
        $at = $piece->from;
        foreach ([...$this->intervals, [PHP_INT_MAX, PHP_INT_MAX]] as [$from, $to]) {
            $end = min($from, $piece->to());
            if ($end > $at) {
                $kept[] = new Piece($at, $piece->sourceFrom + $at - $piece->from, $end - $at);
            }
            $at = max($at, $to);
            if ($at >= $piece->to()) {
                break;
            }
        }

        return $kept;
    }
}
