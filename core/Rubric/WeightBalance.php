<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use YoungHarbor\Core\Figures\Figure;

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
     * New weights that total exactly 100: the remainder shared evenly among the free ones, to two decimals, what
     * rounding leaves going to the first ones a hundredth at a time. Free weights of nothing are filled first.
     *
     * @param  list<BigDecimal>  $weights
     * @param  list<int>|null  $free  positions that may change; null for all
     * @return list<BigDecimal> the weights as they were when they cannot be brought to 100 without one falling to 0
     */
    public static function spread(array $weights, ?array $free = null): array
    {
        $left = self::of($weights)->left();
        $free ??= array_keys($weights);
        $open = array_values(array_filter($free, fn (int $i) => $weights[$i]->isZero()));
        if ($open === [] || ! $left->isPositive()) {
            $open = $free;
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

    /**
     * New weights that total exactly 100 with the free ones kept in proportion to each other: each is cut to two
     * decimals and the hundredths that leaves go to the largest remainders, earlier ones first.
     *
     * @param  list<BigDecimal>  $weights
     * @param  list<int>  $free  positions that may change
     * @return list<BigDecimal> the weights as they were when the free ones are all nothing, or when nothing is left for them
     */
    public static function scale(array $weights, array $free): array
    {
        $sum = self::of(array_map(fn (int $i) => $weights[$i], $free))->sum;
        $room = self::of($weights)->left()->plus($sum);
        if (! $sum->isPositive() || ! $room->isPositive()) {
            return $weights;
        }
        $scaled = $weights;
        $remainders = [];
        foreach ($free as $i) {
            $exact = $weights[$i]->toBigRational()->multipliedBy($room)->dividedBy($sum);
            $scaled[$i] = $exact->toScale(2, RoundingMode::DOWN);
            $remainders[$i] = $exact->minus($scaled[$i]);
        }
        uksort($remainders, fn (int $a, int $b) => $remainders[$b]->compareTo($remainders[$a]) ?: $a <=> $b);
        $missing = self::of($scaled)->left();
        $hundredth = BigDecimal::of('0.01');
        foreach (array_keys($remainders) as $i) {
            $step = BigDecimal::min($hundredth, $missing);
            $scaled[$i] = $scaled[$i]->plus($step);
            $missing = $missing->minus($step);
        }
        $tooSmall = array_filter($free, fn (int $i) => $weights[$i]->isPositive() && ! $scaled[$i]->isPositive());

        return $tooSmall === [] ? array_values($scaled) : $weights;
    }
}
