<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * One criterion of a rubric, whatever its kind.
 */
interface Criterion
{
    public function id(): string;

    public function title(): string;

    public function purpose(): string;

    public function kind(): CriterionKind;

    /** Weight in percent of the total; zero for comment criteria and in points weighting. */
    public function weight(): BigDecimal;

    /** Whether a marker may say that the criterion does not apply to a script. */
    public function optional(): bool;

    /** The highest reachable points; zero for comment criteria. */
    public function max(): BigDecimal;

    /**
     * The points a mark on this criterion gives, or null while it says too little to be one.
     *
     * @throws InvalidInput for a mark that this criterion cannot have
     */
    public function points(CriterionMark $mark): ?BigDecimal;
}
