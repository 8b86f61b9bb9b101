<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;

/**
 * What one criterion added to a total: contribution = effective weight × points ÷ max, kept exact.
 */
final readonly class CriterionScore
{
    /**
     * @param  BigDecimal|null  $points  null when missing or not applicable
     * @param  BigRational  $effectiveWeight  the weight after criteria that do not apply have dropped out
     */
    public function __construct(
        public Criterion $criterion,
        public ?BigDecimal $points,
        public bool $applicable,
        public BigDecimal $weight,
        public BigRational $effectiveWeight,
        public BigRational $contribution,
    ) {
    }

    public function isMissing(): bool
    {
        return $this->applicable && $this->points === null;
    }
}
