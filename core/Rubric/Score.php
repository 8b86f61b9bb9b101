<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;

/**
 * The total a set of marks on a rubric comes to, with what each criterion added.
 */
final readonly class Score
{
    /**
     * @param  BigDecimal  $total  rounded once, half up; missing criteria count zero
     * @param  BigDecimal  $outOf  100 in percent weighting, else the sum of the maxima that apply
     * @param  list<CriterionScore>  $lines
     */
    public function __construct(
        public BigDecimal $total,
        public BigDecimal $outOf,
        public array $lines,
    ) {
    }

    public function isComplete(): bool
    {
        return $this->missing() === [];
    }

    /**
     * @return list<Criterion> criteria without a mark yet
     */
    public function missing(): array
    {
        $missing = array_filter($this->lines, fn (CriterionScore $line) => $line->isMissing());

        return array_values(array_map(fn (CriterionScore $line) => $line->criterion, $missing));
    }
}
