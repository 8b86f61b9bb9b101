<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use YoungHarbor\Core\Figures\Figure;

/**
 * What one member's part in a group does to the group's mark: it is multiplied by 1 − w + w × factor, within a floor and
 * a cap, or by what a coordinator set for them.
 */
final readonly class Contribution
{
    /**
     * @param  BigRational  $factor  0 to as many as the group has members; 1: as much as the others
     * @param  int<0, 100>  $weight  how far the factor moves the mark, in per cent
     * @param  int<0, 100>|null  $floor  least part of the group's mark, in per cent; null: none
     * @param  int<100, 300>|null  $cap  most, in per cent; null: none
     * @param  BigDecimal|null  $instead  the multiplier that was set by hand
     */
    public function __construct(
        public BigRational $factor, public int $weight, public ?int $floor, public ?int $cap,
        public ?BigDecimal $instead = null,
    ) {
    }

    /** What the group's mark is multiplied by. */
    public function multiplier(): BigRational
    {
        if ($this->instead !== null) {
            return $this->instead->toBigRational();
        }
        $multiplier = $this->unbound();
        $multiplier = $this->floor === null ? $multiplier : BigRational::max(
            $multiplier, BigRational::of($this->floor)->dividedBy(100),
        );

        return ($this->cap === null ? $multiplier : BigRational::min(
            $multiplier, BigRational::of($this->cap)->dividedBy(100),
        ))->simplified();
    }

    private function unbound(): BigRational
    {
        return $this->factor->multipliedBy($this->weight)->plus(100 - $this->weight)->dividedBy(100);
    }

    public function of(BigRational $mark): BigRational
    {
        return $mark->multipliedBy($this->multiplier());
    }

    /** How it reads in a working: "× 1.05: factor 1.1, of which 50 % counts". */
    public function inWords(): string
    {
        $times = '× '.Figure::shown($this->multiplier(), 3);
        if ($this->instead !== null) {
            return "{$times}, decided by a coordinator";
        }
        $bound = $this->unbound();
        $why = match (true) {
            $this->multiplier()->isLessThan($bound) => ", {$this->cap} % at most",
            $this->multiplier()->isGreaterThan($bound) => ", {$this->floor} % at least",
            default => '',
        };

        return "{$times}: factor ".Figure::shown($this->factor, 3).", of which {$this->weight} % counts{$why}";
    }
}
