<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

use YoungHarbor\Core\Statistics\FisherF;

/**
 * The six intraclass correlations of P. E. Shrout and J. L. Fleiss, "Intraclass correlations: uses in assessing rater
 * reliability", Psychological Bulletin 86, 1979, from mean squares, which are weighted where scripts are.
 *
 * Their 95 % intervals are those of the same paper, by F; for ICC2 with Satterthwaite's degrees of freedom as in
 * K. O. McGraw, S. P. Wong, Psychological Methods 1, 1996, table 7. Weighted scripts count as so many as they say
 * ({@see Weights::effective()}).
 */
final readonly class Intraclass
{
    /**
     * @param  array<string, float|null>  $figures  ICC1, ICC2, ICC3, ICC1k, ICC2k, ICC3k
     * @param  array<string, string>  $why  reasons of those that are null
     * @param  array<string, array{float, float}>  $intervals  of those that have one
     */
    private function __construct(public array $figures, public array $why, public array $intervals = [])
    {
    }

    /**
     * @param  list<MarkedScript>  $scripts  those with two marks or more are used
     */
    public static function of(array $scripts): self
    {
        $used = array_values(array_filter($scripts, fn (MarkedScript $one) => count($one->marks) > 1));
        $sizes = array_unique(array_map(fn (MarkedScript $one) => count($one->marks), $used));
        $why = match (true) {
            count($used) < 2 => 'fewer than two scripts have more than one mark',
            count($sizes) > 1 => 'scripts have unequal numbers of marks',
            default => null,
        };
        if ($why !== null) {
            $keys = ['ICC1', 'ICC2', 'ICC3', 'ICC1k', 'ICC2k', 'ICC3k'];

            return new self(array_fill_keys($keys, null), array_fill_keys($keys, $why));
        }
        $n = count($used);
        $k = count($used[0]->marks);
        $weights = Weights::even(array_map(fn (MarkedScript $one) => $one->weight, $used));
        $means = array_map(fn (MarkedScript $one) => array_sum($one->marks) / $k, $used);
        $grand = Weights::mean($means, $weights);
        $between = $within = 0.0;
        foreach ($used as $i => $one) {
            $between += $weights[$i] * $k * ($means[$i] - $grand) ** 2;
            foreach ($one->marks as $mark) {
                $within += $weights[$i] * ($mark - $means[$i]) ** 2;
            }
        }
        $bms = $between / ($n - 1);
        $wms = $within / ($n * ($k - 1));
        $figures = [
            'ICC1' => self::over($bms - $wms, $bms + ($k - 1) * $wms), 'ICC2' => null, 'ICC3' => null,
            'ICC1k' => self::over($bms - $wms, $bms), 'ICC2k' => null, 'ICC3k' => null,
        ];
        $m = Weights::effective($weights);
        $intervals = $bms > 0 && $wms > 0 && $m > 1 ? self::byF('ICC1', $bms / $wms, $m - 1, $m * ($k - 1), $k) : [];
        $markers = array_keys($used[0]->marks);
        sort($markers);
        foreach ($used as $one) {
            $own = array_keys($one->marks);
            sort($own);
            if ($own !== $markers) {
                return self::withReasons($figures, $intervals);
            }
        }
        $judges = 0.0;
        foreach ($markers as $marker) {
            $mean = Weights::mean(array_map(fn (MarkedScript $one) => $one->marks[$marker], $used), $weights);
            $judges += $n * ($mean - $grand) ** 2;
        }
        $jms = $judges / ($k - 1);
        $ems = ($within - $judges) / (($n - 1) * ($k - 1));
        $figures['ICC2'] = self::over($bms - $ems, $bms + ($k - 1) * $ems + $k * ($jms - $ems) / $n);
        $figures['ICC3'] = self::over($bms - $ems, $bms + ($k - 1) * $ems);
        $figures['ICC2k'] = self::over($bms - $ems, $bms + ($jms - $ems) / $n);
        $figures['ICC3k'] = self::over($bms - $ems, $bms);
        if ($bms > 0 && $ems > 0 && $m > 1) {
            $intervals += self::byF('ICC3', $bms / $ems, $m - 1, ($m - 1) * ($k - 1), $k)
                + self::ofSecond($figures['ICC2'] ?? 0.0, $bms, $jms, $ems, $m, $k);
        }

        return self::withReasons($figures, $intervals);
    }

    /**
     * Of one form, from its F with so many degrees of freedom, for one mark and for the mean of k.
     *
     * @return array<string, array{float, float}>
     */
    private static function byF(string $form, float $f, float $above, float $below, int $k): array
    {
        $low = $f / FisherF::quantile(Interval::UPPER, $above, $below);
        $high = $f * FisherF::quantile(Interval::UPPER, $below, $above);

        return [
            $form => [($low - 1) / ($low + $k - 1), ($high - 1) / ($high + $k - 1)],
            "{$form}k" => [1 - 1 / $low, 1 - 1 / $high],
        ];
    }

    /**
     * Of ICC2 and ICC2k, whose markers are themselves drawn from many.
     *
     * @param  float  $n  scripts, as many as they say
     * @return array<string, array{float, float}>
     */
    private static function ofSecond(float $icc, float $bms, float $jms, float $ems, float $n, int $k): array
    {
        $icc = min(0.999999, max(-0.999999, $icc));
        $a = $k * $icc / ($n * (1 - $icc));
        $b = 1 + $k * $icc * ($n - 1) / ($n * (1 - $icc));
        $degrees = ($a * $jms + $b * $ems) ** 2
            / (($a * $jms) ** 2 / ($k - 1) + ($b * $ems) ** 2 / (($n - 1) * ($k - 1)));
        $low = FisherF::quantile(Interval::UPPER, $n - 1, $degrees);
        $high = FisherF::quantile(Interval::UPPER, $degrees, $n - 1);
        $rest = $k * $jms + ($k * $n - $k - $n) * $ems;
        $one = [
            $n * ($bms - $low * $ems) / ($low * $rest + $n * $bms),
            $n * ($high * $bms - $ems) / ($rest + $n * $high * $bms),
        ];

        return ['ICC2' => $one, 'ICC2k' => array_map(fn (float $r) => $k * $r / (1 + ($k - 1) * $r), $one)];
    }

    /**
     * @param  array<string, float|null>  $figures
     * @param  array<string, array{float, float}>  $intervals
     */
    private static function withReasons(array $figures, array $intervals): self
    {
        $unequal = 'not every script has the same markers';
        $why = [];
        foreach ($figures as $key => $figure) {
            if ($figure === null) {
                $why[$key] = str_starts_with($key, 'ICC1') || $figures['ICC3k'] !== null || $figures['ICC2'] !== null
                    ? 'the marks do not differ'
                    : $unequal;
            }
        }

        return new self($figures, $why, $intervals);
    }

    private static function over(float $above, float $below): ?float
    {
        return abs($below) < 1e-12 ? null : $above / $below;
    }
}
