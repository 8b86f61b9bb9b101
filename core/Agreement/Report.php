<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

/**
 * All figures on how alike people mark the same scripts.
 */
final readonly class Report
{
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
            MarkerEffects::of($scripts), $figures, [...self::reasons($figures, $pairs), ...$icc->why], array_filter([
                'mean_difference' => $pairs->meanInterval(), 'limits' => $pairs->limitIntervals(),
                'within_tolerance' => $pairs->shareInterval($figures['within_tolerance']),
                'same_band' => $pairs->shareInterval($figures['same_band']),
            ]),
        );
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
