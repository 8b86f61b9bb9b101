<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

/**
 * What is taken out of a marker's marks when their severity is corrected for: how far they lie from the others who do
 * not stand out ({@see StandingOut}), drawn towards none by its uncertainty. Of a lie e with standard error s among markers who truly differ by a standard deviation t, the part
 * t² ÷ (t² + s²) is expected to be true (C. Stein's estimator as B. Efron and C. Morris, JASA 70, 1975, use it). t² is
 * estimated by moments: Σ (e² − s²) ÷ (markers − 1), never below 0, since effects of a set sum to zero
 * (R. DerSimonian, N. Laird, Controlled Clinical Trials 7, 1986, with equal weights), e and s there being the effects.
 */
final readonly class Severity
{
    /** Markers of a set with a standard error, fewer than which do not say how markers differ. */
    public const LEAST = 3;

    /**
     * @param  float  $effect  how far from the others, in marks, positive is generous
     * @param  float  $se  in marks
     * @param  float  $between  true standard deviation between markers, in marks
     * @param  float  $part  of the effect that is taken for true, 0 to 1
     */
    private function __construct(
        public float $effect,
        public float $se,
        public float $between,
        public float $part,
        public int $markers,
    ) {
    }

    /**
     * @return self|null null when the marker's effect has no standard error, or too few markers of the set have one
     */
    public static function of(MarkerEffects $effects, string|int $marker): ?self
    {
        $own = $effects->markers[$marker] ?? null;
        $beside = StandingOut::of($effects)->markers[$marker] ?? null;
        if ($own === null || $beside === null) {
            return null;
        }
        $set = array_filter(
            $effects->markers, fn (array $one) => $one['component'] === $own['component'] && $one['se'] !== null,
        );
        if (count($set) < self::LEAST) {
            return null;
        }
        $between = max(0.0, array_sum(array_map(
            fn (array $one) => $one['effect'] ** 2 - (float) $one['se'] ** 2, $set,
        )) / (count($set) - 1));

        return new self(
            $beside['lie'], $beside['se'], sqrt($between),
            $between <= 0 ? 0.0 : $between / ($between + $beside['se'] ** 2), count($set),
        );
    }

    /** What is added to each of the marker's marks, to a tenth of a mark: above 0 for a harsh marker. */
    public function correction(): string
    {
        $by = number_format(-$this->effect * $this->part, 1, '.', '');

        return $by === '-0.0' ? '0.0' : $by;
    }
}
