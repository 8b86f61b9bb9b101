<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * A criterion marked on a numeric scale from `min` to `max` in steps.
 */
final readonly class ScaleCriterion implements Criterion
{
    use CommonParts;

    public function __construct(
        private CriterionHead $head,
        public BigDecimal $min,
        public BigDecimal $highest,
        public BigDecimal $step,
    ) {
    }

    public function kind(): CriterionKind
    {
        return CriterionKind::Scale;
    }

    public function max(): BigDecimal
    {
        return $this->highest;
    }

    public function points(CriterionMark $mark): ?BigDecimal
    {
        if ($mark->points === null) {
            return null;
        }
        if ($mark->reason !== null) {
            return $this->ownPoints($mark);
        }
        $points = $this->within($mark, $this->min, $this->highest);
        if (! $this->isOnStep($points)) {
            throw InvalidInput::at(
                $this->id().'.points', "must go in steps of {$this->step} from {$this->min}, or carry a reason",
            );
        }

        return $points;
    }

    /** Whether points lie a whole number of steps above the lowest. */
    public function isOnStep(BigDecimal $points): bool
    {
        return $points->minus($this->min)->toBigRational()->dividedBy($this->step)->simplified()->getDenominator()
            ->isEqualTo(1);
    }
}
