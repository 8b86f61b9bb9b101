<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

/**
 * All figures on how alike people mark the same scripts.
 *
 * Intervals are given where simulation found that they hold what they promise (docs/moderation.md): of differences and
 * intraclass correlations from 10 scripts on, of kappas and alpha from 30 on.
 */
final readonly class Report
{
    /** Scripts from which differences and intraclass correlations have an interval. */
    public const LEAST = 10;

    /** Scripts from which kappas and alpha have one. */
    public const LEAST_FOR_KAPPA = 30;

    /**
     * @param  array<string, float|null>  $figures
     * @param  array<string, string>  $why  why those that are null are
     * @param  array<string, mixed>  $intervals  95 %, where there is a stated method
     */
    private function __construct(
        public int $scripts,
        public int $markers,
        public int $marks,
        public Pairs $pairs,
        public Intraclass $icc,
        public MarkerEffects $effects,
        public array $figures,
        public array $why,
        public array $intervals,
    ) {
    }

    /**
     * @param  list<MarkedScript>  $scripts
     * @param  list<float>  $boundaries  where the second, third … band begins, rising
     * @param  float  $tolerance  in marks
     */
    public static function of(array $scripts, array $boundaries, float $tolerance): self
    {
        $pairs = Pairs::of($scripts);
        $bands = array_map(
            fn (array $pair) => [Bands::of($pair[0], $boundaries), Bands::of($pair[1], $boundaries)], $pairs->marks,
        );
        $limits = $pairs->limits();
        $figures = [
            'mean_difference' => $pairs->meanDifference(), 'sd_difference' => $pairs->sdDifference(),
            'limit_low' => $limits[0] ?? null, 'limit_high' => $limits[1] ?? null,
            'within_tolerance' => $pairs->within($tolerance), 'same_band' => $pairs->sameBand($boundaries),
            'kappa' => Kappa::of($bands, $pairs->weights, false),
            'kappa_weighted' => Kappa::of($bands, $pairs->weights, true),
        ];
        foreach (Scale::cases() as $scale) {
            $figures["alpha_{$scale->value}"] = Alpha::of($scripts, $scale);
        }
        $icc = Intraclass::of($scripts);
        $markers = [];
        foreach ($scripts as $one) {
            $markers += $one->marks;
        }

        return new self(
            count($scripts), count($markers),
            array_sum(array_map(fn (MarkedScript $one) => count($one->marks), $scripts)), $pairs, $icc,
            MarkerEffects::of($scripts), $figures, [...self::reasons($figures, $pairs), ...$icc->why],
            self::intervals($scripts, $pairs, $bands, $figures, $icc),
        );
    }

    /**
     * @param  list<MarkedScript>  $scripts
     * @param  list<array{int, int}>  $bands
     * @param  array<string, float|null>  $figures
     * @return array<string, mixed>
     */
    private static function intervals(
        array $scripts, Pairs $pairs, array $bands, array $figures, Intraclass $icc,
    ): array {
        $intervals = [];
        if ($pairs->count() >= self::LEAST) {
            $intervals = [
                'mean_difference' => $pairs->meanInterval(), 'limits' => $pairs->limitIntervals(),
                'within_tolerance' => $pairs->shareInterval($figures['within_tolerance']),
                'same_band' => $pairs->shareInterval($figures['same_band']),
            ];
        }
        if ($pairs->count() >= self::LEAST_FOR_KAPPA) {
            $intervals['kappa'] = Kappa::interval($bands, $pairs->weights, false);
            $intervals['kappa_weighted'] = Kappa::interval($bands, $pairs->weights, true);
        }
        $several = array_filter($scripts, fn (MarkedScript $one) => count($one->marks) > 1);
        $intervals += count($several) >= self::LEAST ? $icc->intervals : [];
        foreach (count($several) >= self::LEAST_FOR_KAPPA ? Scale::cases() : [] as $scale) {
            $intervals["alpha_{$scale->value}"] = Alpha::interval($scripts, $scale);
        }

        return array_filter($intervals);
    }

    /**
     * @param  array<string, float|null>  $figures
     * @return array<string, string>
     */
    private static function reasons(array $figures, Pairs $pairs): array
    {
        $why = [];
        foreach ($figures as $key => $figure) {
            if ($figure === null) {
                $why[$key] = match (true) {
                    str_starts_with($key, 'alpha') => 'no script has two marks, or all marks are equal',
                    $pairs->count() === 0 => 'no script was marked by exactly two',
                    str_starts_with($key, 'kappa') => 'all marks lie in one band, so chance alone would agree',
                    default => 'one pair alone has no spread',
                };
            }
        }

        return $why;
    }
}
