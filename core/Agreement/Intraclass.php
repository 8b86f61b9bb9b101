<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

/**
 * The six intraclass correlations of P. E. Shrout and J. L. Fleiss, "Intraclass correlations: uses in assessing rater
 * reliability", Psychological Bulletin 86, 1979, from mean squares, which are weighted where scripts are.
 */
final readonly class Intraclass
{
    /**
     * @param  array<string, float|null>  $figures  ICC1, ICC2, ICC3, ICC1k, ICC2k, ICC3k
     * @param  array<string, string>  $why  reasons of those that are null
     */
    private function __construct(public array $figures, public array $why)
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
        $markers = array_keys($used[0]->marks);
        sort($markers);
        foreach ($used as $one) {
            $own = array_keys($one->marks);
            sort($own);
            if ($own !== $markers) {
                return self::withReasons($figures, 'not every script has the same markers');
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

        return self::withReasons($figures, 'not every script has the same markers');
    }

    /**
     * @param  array<string, float|null>  $figures
     */
    private static function withReasons(array $figures, string $unequal): self
    {
        $why = [];
        foreach ($figures as $key => $figure) {
            if ($figure === null) {
                $why[$key] = str_starts_with($key, 'ICC1') || $figures['ICC3k'] !== null || $figures['ICC2'] !== null
                    ? 'the marks do not differ'
                    : $unequal;
            }
        }

        return new self($figures, $why);
    }

    private static function over(float $above, float $below): ?float
    {
        return abs($below) < 1e-12 ? null : $above / $below;
    }
}
