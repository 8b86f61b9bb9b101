<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;

/**
 * One level of one criterion as it counts there: a point, or a range of points from `points` up to `upto`.
 */
final readonly class Level
{
    public function __construct(
        public string $id,
        public string $title,
        public BigDecimal $points,
        public ?BigDecimal $upto,
        public bool $used,
        public string $descriptor = '',
        public string $guidance = '',
    ) {
    }

    /** The highest points this level can give. */
    public function highest(): BigDecimal
    {
        return $this->upto ?? $this->points;
    }

    public function isRange(): bool
    {
        return $this->upto !== null;
    }

    /** What choosing it gives until other points are set: half-way through its range, exact. */
    public function middle(): BigDecimal
    {
        return $this->points->plus($this->highest())
            ->dividedBy(2, max($this->points->getScale(), $this->highest()->getScale()) + 1, RoundingMode::UNNECESSARY)
            ->stripTrailingZeros();
    }

    /** Whether the points lie in this level: on it, or inside its range, ends included. */
    public function holds(BigDecimal $points): bool
    {
        return $points->isGreaterThanOrEqualTo($this->points) && $points->isLessThanOrEqualTo($this->highest());
    }
}
