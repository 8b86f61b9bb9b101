<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;

/**
 * The mark of a second try, which counts up to a cap.
 */
final readonly class ResitMark
{
    /**
     * @param  BigDecimal|null  $mark  null where there is none yet
     * @param  BigDecimal|null  $cap  null: it counts as it is
     */
    public function __construct(public ?BigDecimal $mark, public ?BigDecimal $cap)
    {
    }

    public function isCapped(): bool
    {
        return $this->mark !== null && $this->cap !== null && $this->mark->isGreaterThan($this->cap);
    }

    /** What counts of it; null without a mark. */
    public function counts(): ?BigRational
    {
        return ($this->isCapped() ? $this->cap : $this->mark)?->toBigRational();
    }
}
