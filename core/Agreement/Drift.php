<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use YoungHarbor\Core\Statistics\StudentT;

/**
 * Whether the tenth script of an evening fares worse than the first: how marks fall with the place within a sitting.
 *
 * A sitting ends where the next mark is finished an hour later or more. The slope is least squares on the place within
 * the sitting, each sitting and section having a mean of its own: without that, a section that was marked in a block,
 * or late work at the end, is taken for tiredness. The p-value is that of permuting the marks within sitting and
 * section, as far as 9,999 times; it stops early once 500 are as steep, which decides nothing that more would decide
 * otherwise (J. Besag, P. Clifford, "Sequential Monte Carlo p-values", Biometrika 78, 1991).
 */
final readonly class Drift
{
    /** Seconds without a finished mark that end a sitting. */
    public const GAP = 3600;

    public const PERMUTATIONS = 9999;

    private const ENOUGH = 500;

    /** Marks that count, fewer than which say nothing. */
    public const LEAST = 10;

    /** What is asked whether it would be seen: so many marks a script, 5 over an evening of 25. */
    public const FALL = 0.2;

    /**
     * @param  int  $marks  that count
     * @param  float|null  $slope  marks a script, below 0 when they fall; null with too few, or no two in one sitting and section
     * @param  array{float, float}|null  $interval  95 % of the slope, by Student's t
     * @param  float|null  $p  two-sided, above 0
     * @param  float|null  $se  standard error of the slope
     * @param  list<array{place: int, mark: float, sitting: int}>  $points  place within the sitting, from 1
     */
    private function __construct(
        public int $marks,
        public int $sittings,
        public ?float $slope,
        public ?array $interval,
        public ?float $p,
        public ?float $se,
        public float $degrees,
        public array $points,
    ) {
    }

    /**
     * @param  list<Completion>  $completions  of one marker, in any order
     * @param  int  $seed  the same answers for the same seed
     */
    public static function of(array $completions, int $seed): self
    {
        usort($completions, fn (Completion $a, Completion $b) => $a->at <=> $b->at);
        $sitting = -1;
        $place = 0;
        $last = null;
        $strata = $points = [];
        foreach ($completions as $one) {
            if ($last === null || $one->at - $last >= self::GAP) {
                $sitting++;
                $place = 0;
            }
            $place++;
            $last = $one->at;
            if ($one->counts) {
                $strata["{$sitting} {$one->section}"][] = [(float) $place, $one->mark];
                $points[] = ['place' => $place, 'mark' => $one->mark, 'sitting' => $sitting + 1];
            }
        }
        $strata = array_map(
            self::centred(...), array_values(array_filter($strata, fn (array $own) => count($own) > 1)),
        );
        $n = array_sum(array_map(fn (array $own) => count($own[0]), $strata));
        [$xx, $xy, $yy] = self::sums($strata);
        $degrees = $n - count($strata) - 1;
        if (count($points) < self::LEAST || $degrees < 1 || $xx < 1e-9 || $yy < 1e-9) {
            return new self(count($points), $sitting + 1, null, null, null, null, 0, $points);
        }
        $slope = $xy / $xx;
        $se = sqrt(max(0.0, $yy - $slope * $xy) / $degrees / $xx);
        $half = StudentT::quantile(Interval::UPPER, $degrees) * $se;

        return new self(
            count($points), $sitting + 1, $slope, [$slope - $half, $slope + $half], self::permuted($strata, $xy, $seed),
            $se, $degrees, $points,
        );
    }

    /**
     * How often a fall of {@see self::FALL} marks a script would be noticed with sittings such as these, 0 to 1.
     *
     * @param  int  $markers  looked at together: the alarm is shared among them
     */
    public function power(int $markers, float $alarm = 0.05): ?float
    {
        return $this->se === null || $this->se <= 0
            ? null
            : StudentT::power(self::FALL / $this->se, $this->degrees, $alarm / max(1, $markers));
    }

    /**
     * p-values of several markers, so that among markers who do not drift one is called drifting in 5 of 100 cohorts
     * (S. Holm, "A simple sequentially rejective multiple test procedure", Scandinavian Journal of Statistics 6, 1979).
     *
     * @param  array<array-key, float>  $p  by marker
     * @return array<array-key, float> at most 1
     */
    public static function holm(array $p): array
    {
        asort($p);
        $left = count($p);
        $least = 0.0;
        foreach ($p as $marker => $one) {
            $p[$marker] = $least = max($least, min(1.0, $one * $left--));
        }

        return $p;
    }

    /**
     * @param  list<array{float, float}>  $pairs
     * @return array{list<float>, list<float>} both with a mean of 0
     */
    private static function centred(array $pairs): array
    {
        $x = array_column($pairs, 0);
        $y = array_column($pairs, 1);
        [$meanX, $meanY] = [array_sum($x) / count($x), array_sum($y) / count($y)];

        return [
            array_map(fn (float $one) => $one - $meanX, $x), array_map(fn (float $one) => $one - $meanY, $y),
        ];
    }

    /**
     * @param  list<array{list<float>, list<float>}>  $strata
     * @return array{float, float, float} x², x·y and y²
     */
    private static function sums(array $strata): array
    {
        $xx = $xy = $yy = 0.0;
        foreach ($strata as [$x, $y]) {
            foreach ($x as $n => $one) {
                $xx += $one ** 2;
                $xy += $one * $y[$n];
                $yy += $y[$n] ** 2;
            }
        }

        return [$xx, $xy, $yy];
    }

    /**
     * @param  list<array{list<float>, list<float>}>  $strata
     */
    private static function permuted(array $strata, float $seen, int $seed): float
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $line = abs($seen) - 1e-9;
        $steep = 0;
        for ($k = 1; $k <= self::PERMUTATIONS; $k++) {
            $sum = 0.0;
            foreach ($strata as [$x, $y]) {
                foreach ($random->shuffleArray($y) as $n => $one) {
                    $sum += $x[$n] * $one;
                }
            }
            if (abs($sum) >= $line && ++$steep === self::ENOUGH) {
                return $steep / $k;
            }
        }

        return ($steep + 1) / (self::PERMUTATIONS + 1);
    }
}
