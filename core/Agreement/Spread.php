<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

use YoungHarbor\Core\Statistics\StudentT;

/**
 * How widely one marker spreads marks beside whoever else marked the same scripts: the standard deviation of theirs ÷
 * that of the others'. 1 is alike; 0.6 keeps marks close together; 1.5 pulls them apart. From scripts that exactly two
 * marked.
 *
 * The interval is that of two variances of paired figures (W. A. Morgan, Biometrika 31, 1939; E. J. G. Pitman, the same
 * volume): with r the correlation of the two and K = 1 + 2 (1 − r²) t² ÷ (n − 2), the ratio of variances times
 * K ± √(K² − 1).
 */
final readonly class Spread
{
    /** With fewer scripts in common nothing is said. */
    public const LEAST = 8;

    /**
     * @param  float|null  $ratio  above 0; null with too few scripts, or where one of the two gave all the same mark
     * @param  array{float, float}|null  $interval  95 %
     */
    private function __construct(public int $scripts, public ?float $ratio, public ?array $interval)
    {
    }

    /**
     * @param  list<MarkedScript>  $scripts
     */
    public static function of(array $scripts, string|int $marker): self
    {
        $own = $others = $weights = [];
        foreach ($scripts as $script) {
            if (count($script->marks) === 2 && isset($script->marks[$marker])) {
                $own[] = $script->marks[$marker];
                $others[] = array_sum($script->marks) - $script->marks[$marker];
                $weights[] = $script->weight;
            }
        }
        if (count($own) < self::LEAST || $others === []) {
            return new self(count($own), null, null);
        }
        $ownVariance = Weights::variance($own, $weights) ?? 0.0;
        $othersVariance = Weights::variance($others, $weights) ?? 0.0;
        if ($ownVariance < 1e-12 || $othersVariance < 1e-12) {
            return new self(count($own), null, null);
        }
        $sums = array_map(fn (float $a, float $b) => $a + $b, $own, $others);
        $together = ((Weights::variance($sums, $weights) ?? 0.0) - $ownVariance - $othersVariance) / 2;
        $r = max(-1.0, min(1.0, $together / sqrt($ownVariance * $othersVariance)));
        $ratio = $ownVariance / $othersVariance;
        $degrees = Weights::effective($weights) - 2;
        if ($degrees < 1) {
            return new self(count($own), sqrt($ratio), null);
        }
        $k = 1 + 2 * (1 - $r ** 2) * StudentT::quantile(Interval::UPPER, $degrees) ** 2 / $degrees;
        $root = sqrt($k ** 2 - 1);

        return new self(count($own), sqrt($ratio), [sqrt($ratio * ($k - $root)), sqrt($ratio * ($k + $root))]);
    }
}
