<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

/**
 * How well a score tells two kinds of texts apart: the chance that one of the other kind scores higher than a trusted
 * one (the area under the receiver operating characteristic), ties as half. 0.5 is a coin.
 *
 * J. Hanley, B. McNeil, "The meaning and use of the area under a receiver operating characteristic (ROC) curve",
 * Radiology 143, 1982, with their standard error for the interval.
 */
final readonly class Separation
{
    private function __construct(
        public float $area,
        public float $error,
    ) {
    }

    /**
     * @param  list<float>  $trusted  scores
     * @param  list<float>  $other
     * @return self|null null when there are none of either
     */
    public static function of(array $trusted, array $other): ?self
    {
        [$n, $m] = [count($trusted), count($other)];
        if ($n === 0 || $m === 0) {
            return null;
        }
        $wins = 0.0;
        foreach ($other as $high) {
            foreach ($trusted as $low) {
                $wins += $high > $low ? 1 : ($high === $low ? 0.5 : 0);
            }
        }
        $area = $wins / ($n * $m);
        $q1 = $area / (2 - $area);
        $q2 = 2 * $area ** 2 / (1 + $area);

        return new self(
            $area,
            sqrt(
                max(
                    0.0,
                    ($area * (1 - $area) + ($m - 1) * ($q1 - $area ** 2) + ($n - 1) * ($q2 - $area ** 2)) / ($n * $m),
                )
            ),
        );
    }

    /**
     * @return array{float, float} 95 %
     */
    public function interval(): array
    {
        return [max(0.0, $this->area - 1.96 * $this->error), min(1.0, $this->area + 1.96 * $this->error)];
    }
}
