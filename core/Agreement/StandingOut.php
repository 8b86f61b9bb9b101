<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

use YoungHarbor\Core\Statistics\StudentT;

/**
 * Which markers lie apart from the others, and by how much.
 *
 * Effects of a set sum to zero, so that one harsh marker makes all others look generous. So the one who lies furthest
 * from the mean of the others is judged first; where chance would not put them there, they are taken out and the rest
 * are judged beside each other, until nobody stands out (B. Rosner, Technometrics 25, 1983, does so with outliers; the
 * alarm is shared among those left at each step as in S. Holm, Scandinavian Journal of Statistics 6, 1979). Everybody's
 * figure is their distance from the mean of the others who do not stand out.
 */
final readonly class StandingOut
{
    /** How often, over all markers of a set, one is said to stand out who does not. */
    public const ALARM = 0.05;

    /** Fewer do not say who of them lies apart. */
    private const FEWEST = 3;

    /**
     * @param  array<array-key, array{lie: float, se: float, interval: array{float, float}, out: bool}>  $markers  those that can be compared; lie: in marks, positive is generous
     */
    private function __construct(public array $markers)
    {
    }

    public static function of(MarkerEffects $effects): self
    {
        $sets = [];
        foreach ($effects->markers as $marker => $one) {
            if ($one['interval'] !== null) {
                $sets[$one['component']][] = $marker;
            }
        }
        $found = [];
        foreach ($sets as $set) {
            $left = self::left($effects, $set);
            foreach ($set as $marker) {
                $others = array_values(array_filter($left, fn (string|int $one) => $one !== $marker));
                $beside = $others === [] ? null : $effects->beside($marker, $others);
                if ($beside === null) {
                    continue;
                }
                [$lie, $se] = $beside;
                $half = StudentT::quantile(Interval::UPPER, $effects->markers[$marker]['degrees']) * $se;
                $found[$marker] = [
                    'lie' => $lie, 'se' => $se, 'interval' => [$lie - $half, $lie + $half],
                    'out' => ! in_array($marker, $left, true),
                ];
            }
        }

        return new self($found);
    }

    /**
     * Those of a set who do not stand out.
     *
     * @param  non-empty-list<array-key>  $set
     * @return non-empty-list<array-key>
     */
    private static function left(MarkerEffects $effects, array $set): array
    {
        while (count($set) >= self::FEWEST) {
            $chances = [];
            foreach ($set as $marker) {
                $others = array_values(array_filter($set, fn (string|int $one) => $one !== $marker));
                [$lie, $se] = $others === [] ? [0.0, 0.0] : $effects->beside($marker, $others) ?? [0.0, 0.0];
                $chances[$marker] = $se <= 0
                    ? 1.0
                    : 2 * (1 - StudentT::cdf(abs($lie) / $se, $effects->markers[$marker]['degrees']));
            }
            asort($chances);
            $furthest = array_key_first($chances);
            if ($chances[$furthest] * count($set) > self::ALARM) {
                break;
            }
            $rest = array_values(array_filter($set, fn (string|int $one) => $one !== $furthest));
            if ($rest === []) {
                break;
            }
            $set = $rest;
        }

        return $set;
    }
}
