<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/**
 * Combines peers' marks by median, mean or trimmed mean: exact, rounded half up once.
 */
final class Combining
{
    /**
     * @param  array<string, list<PeerMark>>  $marks  by script, none of them empty
     * @param  int<0, 6>  $decimals
     * @return list<CombinedMark>
     */
    public static function exact(array $marks, Method $method, int $decimals): array
    {
        $combined = [];
        foreach ($marks as $script => $of) {
            usort($of, fn (PeerMark $a, PeerMark $b) => $a->mark->compareTo($b->mark) ?: $a->reviewer <=> $b->reviewer);
            $kept = self::kept(count($of), $method);
            $sum = BigRational::sum(BigRational::zero(), ...array_map(fn (int $n) => $of[$n]->mark, $kept));
            $weights = [];
            foreach ($of as $n => $one) {
                $weights[$one->reviewer] = in_array($n, $kept, true) ? count($of) / count($kept) : 0.0;
            }
            $combined[] = new CombinedMark(
                (string) $script, $sum->dividedBy(count($kept))->toScale($decimals, RoundingMode::HALF_UP), null, null,
                $weights,
            );
        }

        return $combined;
    }

    /**
     * Which of so many marks, in rising order, are averaged.
     *
     * @return non-empty-list<int>
     */
    private static function kept(int $count, Method $method): array
    {
        [$from, $to] = match ($method) {
            Method::Median => [intdiv($count - 1, 2), intdiv($count, 2)],
            Method::Trimmed => [intdiv($count, 4), $count - 1 - intdiv($count, 4)],
            default => [0, $count - 1],
        };

        return range($from, $to);
    }

    /** A mark worked out in floating point, within 0 to 100, at so many decimals. */
    public static function rounded(float $mark, int $decimals): BigDecimal
    {
        return BigDecimal::of(sprintf('%.9F', max(0.0, min(100.0, $mark))))->toScale($decimals, RoundingMode::HALF_UP);
    }
}
