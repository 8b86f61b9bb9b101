<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use YoungHarbor\Core\Marks\Figure;

/**
 * How far a set of weights is from exactly 100, and how to spread what is left.
 */
final readonly class WeightBalance
{
    private function __construct(public BigDecimal $sum)
    {
    }

    /**
     * @param  iterable<BigDecimal>  $weights  in percent
     */
    public static function of(iterable $weights): self
    {
        $sum = BigDecimal::zero();
        foreach ($weights as $weight) {
            $sum = $sum->plus($weight);
        }

        return new self($sum);
    }

    public function isExact(): bool
    {
        return $this->sum->isEqualTo(100);
    }

    /** What is still to place; negative when the weights are over 100. */
    public function left(): BigDecimal
    {
        return BigDecimal::of(100)->minus($this->sum);
    }

    public function sentence(): string
    {
        $sum = Figure::plain($this->sum);
        $left = $this->left();

        return match (true) {
            $this->isExact() => 'the weights total 100 %',
            $left->isPositive() => "the weights total {$sum} %, ".Figure::plain($left).' short of 100',
            default => "the weights total {$sum} %, ".Figure::plain($left->abs()).' over 100',
        };
    }

    /**
     * New weights that total exactly 100: the remainder shared evenly among all, to two decimals, what rounding
     * leaves going to the first ones a hundredth at a time. Weights of nothing count as open and are filled first.
     *
     * @param  list<BigDecimal>  $weights
     * @return list<BigDecimal> the weights as they were when they cannot be brought to 100 without one falling to 0
     */
    public static function spread(array $weights): array
    {
        $left = self::of($weights)->left();
        $open = array_keys(array_filter($weights, fn (BigDecimal $weight) => $weight->isZero()));
        if ($open === [] || ! $left->isPositive()) {
            $open = array_keys($weights);
        }
        if ($open === [] || $left->isZero()) {
            return $weights;
        }
        $hundredths = $left->multipliedBy(100)->toScale(0, RoundingMode::DOWN)->toBigInteger();
        $rest = $left->minus(BigDecimal::ofUnscaledValue($hundredths, 2));
        $each = $hundredths->quotient(count($open));
        $over = $hundredths->remainder(count($open))->toInt();
        $spread = $weights;
        foreach ($open as $n => $i) {
            $extra = $n < abs($over) ? ($over <=> 0) : 0;
            $spread[$i] = $weights[$i]->plus(BigDecimal::ofUnscaledValue($each->plus($extra), 2));
            if ($n === 0) {
                $spread[$i] = $spread[$i]->plus($rest);
            }
            if (! $spread[$i]->isPositive()) {
                return $weights;
            }
        }

        return array_values($spread);
    }
}
