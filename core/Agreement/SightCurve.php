<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

use YoungHarbor\Core\Statistics\StudentT;

/**
 * How often a marker is noticed, against how far they lie from the others: with the scripts that are planned, and with
 * more of them.
 */
final class SightCurve
{
    /** Marks up to which it is drawn. */
    public const FARTHEST = 15;

    /**
     * @param  string  $marker  one who is linked with others
     * @param  float  $sd  of the noise in the difference of two marks, in marks, above 0
     * @param  float  $alarm  how often one is called different who is not, between 0 and 1
     * @param  float  $times  as if so many times as many scripts were shared with the same others
     * @return list<float>|null how often, 0 to 1, for 0, 1 … 15 marks; null when nothing can be said
     */
    public static function of(Linking $linking, string $marker, float $sd, float $alarm, float $times = 1.0): ?array
    {
        $error = $linking->error($marker, $times);
        $degrees = $linking->degrees() + (int) floor(($times - 1) * $linking->pairsOf($marker));

        return $error === null || $degrees < 1 ? null : array_map(
            fn (int $severity) => StudentT::power($severity / $error / $sd, $degrees, $alarm),
            range(0, self::FARTHEST),
        );
    }
}
