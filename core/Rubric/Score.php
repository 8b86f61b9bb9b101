<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/**
 * The total a set of marks on a rubric comes to, with what each criterion added.
 */
final readonly class Score
{
    /**
     * @param  BigDecimal  $total  rounded once, half up; missing criteria count zero
     * @param  BigDecimal  $outOf  100 in percent weighting, else the sum of the maxima that apply
     * @param  list<CriterionScore>  $lines
     * @param  BigRational  $exact  the total before it was rounded
     */
    public function __construct(
        public BigDecimal $total,
        public BigDecimal $outOf,
        public array $lines,
        public BigRational $exact,
    ) {
    }

    /**
     * The mark out of 100: the exact total as a share of what could be had, rounded once, half up, to the total's
     * decimals. In percent weighting it is the total itself.
     */
    public function percent(): BigDecimal
    {
        return $this->outOf->isEqualTo(100)
            ? $this->total
            : $this->exact->multipliedBy(100)->dividedBy($this->outOf)
                ->toScale($this->total->getScale(), RoundingMode::HALF_UP);
    }

    /** The mark out of 100 before it is rounded. */
    public function exactPercent(): BigRational
    {
        return $this->outOf->isZero() ? BigRational::zero() : $this->exact->multipliedBy(100)->dividedBy($this->outOf);
    }

    /** What one criterion added; null for one that gives no points. */
    public function line(string $criterion): ?CriterionScore
    {
        foreach ($this->lines as $line) {
            if ($line->criterion->id() === $criterion) {
                return $line;
            }
        }

        return null;
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
