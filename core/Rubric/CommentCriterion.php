<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * A criterion on which the marker only writes.
 */
final readonly class CommentCriterion implements Criterion
{
    use CommonParts;

    public function __construct(private CriterionHead $head)
    {
    }

    public function kind(): CriterionKind
    {
        return CriterionKind::Comment;
    }

    public function max(): BigDecimal
    {
        return BigDecimal::zero();
    }

    public function points(CriterionMark $mark): ?BigDecimal
    {
        if (! $mark->isUnset()) {
            throw InvalidInput::at($this->id(), 'takes a comment and nothing else');
        }

        return null;
    }
}
