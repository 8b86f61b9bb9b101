<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;

/**
 * How much of a script also stands elsewhere. It says nothing about why.
 */
final readonly class Report
{
    /**
     * @param  int  $counted  words of the script that count
     * @param  list<Run>  $runs  credited: no word in two runs
     */
    public function __construct(
        public int $counted,
        public array $runs,
    ) {
    }

    public function matched(): int
    {
        return array_sum(array_map(fn (Run $run) => $run->words(), $this->runs));
    }

    /** Matched ÷ counted in percent, half up to one decimal; 0 for a text without words. */
    public function share(): BigDecimal
    {
        return self::percent($this->matched(), $this->counted);
    }

    /**
     * @return array<string, int> matched words by source, most first
     */
    public function bySource(): array
    {
        $sources = [];
        foreach ($this->runs as $run) {
            $sources[$run->source] = ($sources[$run->source] ?? 0) + $run->words();
        }
        uksort(
            $sources, fn (string|int $a, string|int $b) => [$sources[$b], (string) $a] <=> [$sources[$a], (string) $b],
        );

        return $sources;
    }

    public static function percent(int $part, int $whole): BigDecimal
    {
        return $whole === 0
            ? BigDecimal::of('0.0')
            : BigDecimal::of($part)->multipliedBy(100)->dividedBy($whole, 1, RoundingMode::HALF_UP);
    }
}
