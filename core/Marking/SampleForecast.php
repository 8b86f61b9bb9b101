<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

use Brick\Math\BigDecimal;
use YoungHarbor\Core\Statistics\Normal;

/**
 * About how many scripts a rule will pick, before there are marks: by how earlier marks lay, or by a usual spread.
 */
final readonly class SampleForecast
{
    /** Earlier marks from which the spread is taken; with fewer the usual one stands in. */
    public const LEAST = 20;

    /** Mean and standard deviation of marks where there are no earlier ones: common practice, no source. */
    private const USUAL = [58.0, 12.0];

    /**
     * @param  int  $ends  fails and top bands
     * @param  int  $near  near a boundary and neither of those
     * @param  int  $drawn  by lot
     */
    private function __construct(public int $ends, public int $near, public int $drawn, public int $cohort)
    {
    }

    /**
     * @param  int  $cohort  scripts there will be
     * @param  list<BigDecimal>  $boundaries  where the second, third … band begins, rising
     * @param  list<BigDecimal>  $earlier  marks of earlier work
     */
    public static function of(SampleRule $rule, int $cohort, array $boundaries, array $earlier): self
    {
        $weights = count($earlier) < self::LEAST ? self::usual() : array_map(
            fn (BigDecimal $mark) => [$mark, 1 / count($earlier)], $earlier,
        );
        $ends = $near = 0.0;
        foreach ($weights as [$mark, $weight]) {
            $why = array_map(fn (SampleReason $reason) => $reason->why, $rule->reasons($mark, $boundaries));
            match (true) {
                $why === [] => null,
                $why[0] === WhySampled::Near => $near += $weight,
                default => $ends += $weight,
            };
        }
        [$ends, $near] = [(int) round($ends * $cohort), (int) round($near * $cohort)];

        return new self($ends, $near, min($rule->wanted($cohort), max(0, $cohort - $ends - $near)), $cohort);
    }

    public function size(): int
    {
        return min($this->cohort, $this->ends + $this->near + $this->drawn);
    }

    /**
     * Whole marks with how likely each is.
     *
     * @return list<array{BigDecimal, float}>
     */
    private static function usual(): array
    {
        [$mean, $sd] = self::USUAL;

        return array_map(fn (int $mark) => [
            BigDecimal::of($mark),
            Normal::cdf(($mark + 0.5 - $mean) / $sd) - Normal::cdf(($mark - 0.5 - $mean) / $sd),
        ], range(0, 100));
    }
}
