<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use YoungHarbor\Core\Figures\Figure;

/**
 * A mark that is a share of a settled one: peers' combined mark of the work, or its author's mark for reviewing.
 */
final readonly class JoinedMark
{
    /**
     * @param  string  $what  "Peers’ mark"
     * @param  int<0, 100>  $share  in per cent
     * @param  BigDecimal|null  $mark  0 to 100; null: there is none, and what it joins stands alone
     */
    public function __construct(public string $what, public int $share, public ?BigDecimal $mark)
    {
    }

    /** (1 − share) × settled + share × this. */
    public function of(BigRational $settled): BigRational
    {
        return $this->mark === null ? $settled
            : $settled->multipliedBy(100 - $this->share)->plus($this->mark->multipliedBy($this->share))->dividedBy(100);
    }

    public function working(BigRational $settled): string
    {
        return $this->mark === null ? 'there is none, so the mark of staff stands alone'
            : (100 - $this->share).' % of '.Figure::shown($settled).' and '.$this->share.' % of '.Figure::plain($this->mark);
    }
}
