<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

use YoungHarbor\Core\Statistics\StudentT;

/**
 * What a plan of second marks could see of one marker.
 */
final readonly class Sight
{
    /** How far from the others a marker is that is asked for, in marks: half a usual band. */
    public const SEVERITY = 5.0;

    /** How often one is called different who is not. */
    public const ALARM = 0.05;

    /** How often one who is different ought to be noticed. */
    public const WISH = 0.8;

    /** Pairs from which the noise of two marks is measured; with fewer a usual figure stands in. */
    public const LEAST_PAIRS = 20;

    /** That figure, a standard deviation in marks: common practice, no source. */
    public const USUAL_NOISE = 8.0;

    /**
     * @param  int  $pairs  scripts the marker has in common with others
     * @param  float|null  $power  how often a marker that far from the others would be noticed, 0 to 1; null when nobody can be compared
     * @param  int|null  $more  how many more of theirs would show it as often as wished; 0 when it is enough; null when no number of them would
     */
    private function __construct(
        public string $marker,
        public int $pairs,
        public ?float $power,
        public ?int $more,
    ) {
    }

    /**
     * By the t test of the marker's effect in the model of differences ({@see Linking}): noncentral t with the residual
     * degrees of freedom and noncentrality severity ÷ standard error. More scripts are thought of as shared with the
     * same others in the same parts.
     *
     * @param  float  $sd  of the noise in the difference of two marks, in marks, above 0
     * @param  float  $severity  how far the marker lies from the mean of the others, in marks, above 0
     * @param  float  $alarm  how often one is called different who is not, between 0 and 1
     * @param  float  $wish  how often it is to be noticed, between 0 and 1
     * @param  int  $most  more scripts than this are not thought of
     */
    public static function of(
        Linking $linking, string $marker, float $sd, float $severity, float $alarm, float $wish, int $most = 1000,
    ): self {
        $pairs = $linking->pairsOf($marker);
        $power = function (int $more) use ($linking, $marker, $sd, $severity, $alarm, $pairs): float {
            $degrees = $linking->degrees() + $more;
            $error = $pairs === 0 ? null : $linking->error($marker, 1 + $more / $pairs);

            return $error === null || $degrees < 1 ? 0.0 : StudentT::power($severity / $error / $sd, $degrees, $alarm);
        };
        $now = $power(0);
        $comparable = $linking->error($marker) !== null && $linking->degrees() >= 1;

        return new self(
            $marker, $pairs, $comparable ? $now : null,
            $now >= $wish
                ? 0
                : ($pairs === 0 ? null : Power::search(1, fn (int $more) => $power($more) >= $wish, $most)),
        );
    }
}
