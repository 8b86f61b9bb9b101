<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/**
 * From a settled mark to the one that goes out, when what each rule takes off is known: scaling, a group member's
 * factor, lateness, over-length, a cap, an adjustment, in this order, exact until one rounding at the end. A step that
 * is not asked for, or changes nothing, leaves no line.
 */
final readonly class FinalSteps
{
    /**
     * @param  BigDecimal  $max  the highest mark there is, above 0
     * @param  BigDecimal|null  $factor  a member's share of what the group did, 0 or more
     * @param  BigDecimal  $late  marks off, with the mark below which they take nothing
     * @param  BigDecimal  $overLength  marks off
     * @param  BigDecimal|null  $cap  no mark comes out above it
     * @param  BigDecimal  $adjust  marks added at the end, which may be negative
     */
    public function __construct(
        private BigDecimal $max,
        private ?Scaling $scaling,
        private ?BigDecimal $factor,
        private BigDecimal $late,
        private BigDecimal $lateFloor,
        private BigDecimal $overLength,
        private ?BigDecimal $cap,
        private BigDecimal $adjust,
    ) {
    }

    /**
     * @param  int<0, 6>  $decimals
     * @return array{mark: BigDecimal, working: list<array{step: string, value: BigRational}>}
     */
    public function of(BigRational $settled, int $decimals): array
    {
        $mark = $settled;
        $working = [['step' => 'settled', 'value' => $settled]];
        foreach ($this->steps() as $step => $change) {
            $after = $change($mark);
            if (! $after->isEqualTo($mark)) {
                $working[] = ['step' => $step, 'value' => $after];
            }
            $mark = $after;
        }
        $rounded = $mark->toScale($decimals, RoundingMode::HALF_UP);
        if (! $mark->isEqualTo($rounded)) {
            $working[] = ['step' => 'rounded', 'value' => $rounded->toBigRational()];
        }

        return ['mark' => $rounded, 'working' => $working];
    }

    /**
     * @return array<string, callable(BigRational): BigRational>
     */
    private function steps(): array
    {
        return [
            'scaling' => fn (BigRational $mark) => $this->scaling?->clipped($mark, $this->max) ?? $mark,
            'factor' => fn (BigRational $mark) => $this->factor === null ? $mark : $mark->multipliedBy($this->factor),
            'late' => fn (BigRational $mark) => LateRule::lower($mark, $this->late->toBigRational(), $this->lateFloor),
            'over_length' => fn (BigRational $mark) => BigRational::max($mark->minus($this->overLength), 0),
            'cap' => fn (BigRational $mark) => $this->cap === null ? $mark : BigRational::min($mark, $this->cap),
            'adjust' => fn (BigRational $mark) => $mark->plus($this->adjust),
            'clipped' => fn (BigRational $mark) => BigRational::max(0, BigRational::min($mark, $this->max)),
        ];
    }
}
