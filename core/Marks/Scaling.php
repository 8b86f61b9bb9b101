<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * How marks are moved together: by a constant, along a line, or along straight lines between points. Exact; clipped to
 * 0 and the most a mark can be.
 */
final readonly class Scaling
{
    /**
     * @param  list<array{BigDecimal, BigDecimal}>  $points  from, to; rising on both sides; none unless it is a map
     */
    private function __construct(
        private BigDecimal $constant,
        private BigDecimal $factor,
        private array $points = [],
    ) {
    }

    /** mark + constant, which may be negative. */
    public static function add(BigDecimal $constant): self
    {
        return new self($constant, BigDecimal::one());
    }

    /**
     * constant + factor × mark.
     *
     * @throws InvalidInput unless the factor is above 0
     */
    public static function linear(BigDecimal $constant, BigDecimal $factor): self
    {
        $factor->isPositive()
            || throw InvalidInput::at('linear', 'the factor must be above 0, or marks would change places');

        return new self($constant, $factor);
    }

    /**
     * Straight lines between points.
     *
     * @param  list<array{BigDecimal, BigDecimal}>  $points  from, to
     *
     * @throws InvalidInput for fewer than two, or points that do not rise on both sides
     */
    public static function map(array $points): self
    {
        count($points) > 1 || throw InvalidInput::at('map', 'needs at least two points');
        foreach (array_slice($points, 1) as $n => [$from, $to]) {
            [$before, $beforeTo] = $points[$n];
            if ($from->isLessThanOrEqualTo($before) || $to->isLessThanOrEqualTo($beforeTo)) {
                throw InvalidInput::at(
                    'map', "must rise on both sides: {$from},{$to} comes after {$before},{$beforeTo}",
                );
            }
        }

        return new self(BigDecimal::zero(), BigDecimal::one(), $points);
    }

    /** Whether a mark lies where it says something: everywhere but outside the points of a map. */
    public function covers(BigDecimal|BigRational $mark): bool
    {
        return $this->points === [] || (
            $mark->isGreaterThanOrEqualTo($this->points[0][0])
            && $mark->isLessThanOrEqualTo($this->points[count($this->points) - 1][0])
        );
    }

    /**
     * The mark moved, before it is clipped.
     *
     * @throws InvalidInput for a mark that the map does not cover
     */
    public function of(BigDecimal|BigRational $mark): BigRational
    {
        $mark = $mark->toBigRational();
        if ($this->points === []) {
            return $mark->multipliedBy($this->factor)->plus($this->constant)->simplified();
        }
        foreach (array_slice($this->points, 1) as $n => [$from, $to]) {
            [$low, $lowTo] = $this->points[$n];
            if ($mark->isGreaterThanOrEqualTo($low) && $mark->isLessThanOrEqualTo($from)) {
                return $mark->minus($low)->multipliedBy($to->minus($lowTo))
                    ->dividedBy($from->minus($low))->plus($lowTo)->simplified();
            }
        }
        throw InvalidInput::at(
            'map',
            "covers no mark of {$mark}: it goes from {$this->points[0][0]} to {$this->points[count($this->points) - 1][0]}",
        );
    }

    /** The mark moved and clipped to 0 and the most. */
    public function clipped(BigDecimal|BigRational $mark, BigDecimal|int $most = 100): BigRational
    {
        return BigRational::max(BigRational::zero(), BigRational::min($this->of($mark), BigRational::of($most)));
    }
}
