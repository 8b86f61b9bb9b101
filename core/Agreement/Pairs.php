<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

use YoungHarbor\Core\Statistics\StudentT;

/**
 * Scripts that exactly two people marked, and how their marks differ: first − second, in marks.
 */
final readonly class Pairs
{
    /** Of a normal distribution 95 in 100 lie within so many standard deviations. */
    private const WITHIN = 1.96;

    /**
     * @param  list<array{float, float}>  $marks  first and second of each
     * @param  list<float>  $weights
     */
    private function __construct(public array $marks, public array $weights)
    {
    }

    /**
     * @param  list<MarkedScript>  $scripts
     */
    public static function of(array $scripts): self
    {
        $marks = [];
        $weights = [];
        foreach ($scripts as $script) {
            if (count($script->marks) === 2) {
                [$first, $second] = array_values($script->marks);
                $marks[] = [$first, $second];
                $weights[] = $script->weight;
            }
        }

        return new self($marks, $weights);
    }

    public function count(): int
    {
        return count($this->marks);
    }

    public function meanDifference(): ?float
    {
        $differences = $this->differences();

        return $differences === [] ? null : Weights::mean($differences, $this->weights);
    }

    public function sdDifference(): ?float
    {
        $differences = $this->differences();
        $variance = $differences === [] ? null : Weights::variance($differences, $this->weights);

        return $variance === null ? null : sqrt($variance);
    }

    /**
     * Limits of agreement: mean ± 1.96 standard deviations of the differences (J. M. Bland, D. G. Altman, "Statistical
     * methods for assessing agreement between two methods of clinical measurement", Lancet 1986).
     *
     * @return array{float, float}|null
     */
    public function limits(): ?array
    {
        $sd = $this->sdDifference();
        $mean = $this->meanDifference();

        return $sd === null || $mean === null ? null : [$mean - self::WITHIN * $sd, $mean + self::WITHIN * $sd];
    }

    /**
     * 95 % of the mean difference, by Student's t.
     *
     * @return array{float, float}|null
     */
    public function meanInterval(): ?array
    {
        return $this->around($this->meanDifference(), 1.0);
    }

    /**
     * 95 % of each limit: their standard error is that of the mean times √(1 + 1.96² ÷ 2 · n ÷ (n − 1)) (Bland and
     * Altman 1986, who write √3 for it).
     *
     * @return array{array{float, float}, array{float, float}}|null
     */
    public function limitIntervals(): ?array
    {
        $limits = $this->limits();
        $n = Weights::effective($this->weights);
        if ($limits === null || $n <= 1) {
            return null;
        }
        $times = sqrt(1 + self::WITHIN ** 2 / 2 * $n / ($n - 1));
        [$low, $high] = [$this->around($limits[0], $times), $this->around($limits[1], $times)];

        return $low === null || $high === null ? null : [$low, $high];
    }

    /**
     * The share of pairs no further apart than so many marks, 0 to 1.
     */
    public function within(float $tolerance): ?float
    {
        return $this->share(fn (float $first, float $second) => abs($first - $second) <= $tolerance + 1e-9);
    }

    /**
     * The share of pairs in the same band, 0 to 1.
     *
     * @param  list<float>  $boundaries  where the second, third … band begins, rising
     */
    public function sameBand(array $boundaries): ?float
    {
        return $this->share(
            fn (float $first, float $second) => Bands::of($first, $boundaries) === Bands::of($second, $boundaries),
        );
    }

    /**
     * 95 % of a share, by Wilson's score (E. B. Wilson, JASA 22, 1927).
     *
     * @return array{float, float}|null
     */
    public function shareInterval(?float $share): ?array
    {
        return $share === null ? null : self::wilson($share, Weights::effective($this->weights));
    }

    /**
     * @param  float  $n  as many as were looked at
     * @return array{float, float}|null
     */
    public static function wilson(float $share, float $n): ?array
    {
        if ($n <= 0) {
            return null;
        }
        $z = self::WITHIN;
        $middle = ($share + $z ** 2 / (2 * $n)) / (1 + $z ** 2 / $n);
        $half = $z * sqrt($share * (1 - $share) / $n + $z ** 2 / (4 * $n ** 2)) / (1 + $z ** 2 / $n);

        return [max(0.0, $middle - $half), min(1.0, $middle + $half)];
    }

    /**
     * @return list<float>
     */
    public function differences(): array
    {
        return array_map(fn (array $pair) => $pair[0] - $pair[1], $this->marks);
    }

    /**
     * @return array{float, float}|null
     */
    private function around(?float $figure, float $times): ?array
    {
        $sd = $this->sdDifference();
        $n = Weights::effective($this->weights);
        if ($figure === null || $sd === null || $n <= 1) {
            return null;
        }
        $half = StudentT::quantile(0.975, $n - 1) * $sd / sqrt($n) * $times;

        return [$figure - $half, $figure + $half];
    }

    /**
     * @param  callable(float, float): bool  $alike
     */
    private function share(callable $alike): ?float
    {
        if ($this->marks === []) {
            return null;
        }
        $sum = 0.0;
        foreach ($this->marks as $n => [$first, $second]) {
            $sum += $alike($first, $second) ? $this->weights[$n] : 0.0;
        }

        return $sum / array_sum($this->weights);
    }
}
