<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

use YoungHarbor\Core\Agreement\Alpha;
use YoungHarbor\Core\Agreement\MarkedScript;
use YoungHarbor\Core\Agreement\Scale;

/**
 * How alike reviewers of the same work mark. Works with one review say nothing and are left out.
 */
final readonly class AmongReviewers
{
    /** Below so many works it says little. Common practice, no source. */
    public const LEAST = 8;

    /** From so many on the interval of alpha holds what it says (docs/moderation.md). */
    public const LEAST_FOR_INTERVAL = 30;

    /**
     * @param  int  $works  with two marks or more
     * @param  float|null  $apart  marks between two reviewers of a work, on average over works; null: too few
     * @param  float|null  $alpha  Krippendorff's, of distances; at most 1
     * @param  array{float, float}|null  $interval  95 % of it
     */
    private function __construct(
        public int $works, public ?float $apart = null, public ?float $alpha = null, public ?array $interval = null,
    ) {
    }

    /**
     * @param  list<MarkedScript>  $works  each with the marks of its reviewers
     */
    public static function of(array $works): self
    {
        $used = array_values(array_filter($works, fn (MarkedScript $one) => count($one->marks) > 1));
        $count = count($used);
        if ($count < self::LEAST) {
            return new self($count);
        }
        $apart = array_sum(array_map(self::between(...), $used)) / $count;

        return new self(
            $count, $apart, Alpha::of($used, Scale::Interval),
            $count < self::LEAST_FOR_INTERVAL ? null : Alpha::interval($used, Scale::Interval),
        );
    }

    /** The mean distance of two marks of a work. */
    private static function between(MarkedScript $work): float
    {
        $marks = array_values($work->marks);
        $sum = $pairs = 0;
        foreach ($marks as $n => $one) {
            foreach (array_slice($marks, $n + 1) as $other) {
                $sum += abs($one - $other);
                $pairs++;
            }
        }

        return $sum / max(1, $pairs);
    }
}
