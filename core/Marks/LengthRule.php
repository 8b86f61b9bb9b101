<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * A word limit and what going over it costs: so many marks for each started part of the limit beyond it, after a
 * grace. A limit without a cost is only shown.
 */
final readonly class LengthRule
{
    private function __construct(
        public int $limit,
        public BigDecimal $amount,
        public int $stepPercent,
        public int $gracePercent,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  {"limit": 900, "amount": "5" (marks, "0" for none), "step": 10 and "grace": 10 (percent of the limit)}
     *
     * @throws InvalidInput
     */
    public static function fromArray(array $document): self
    {
        $in = new Document;
        $whole = function (string $key, int $least, int $most, int $default) use ($in, $document): int {
            $value = $document[$key] ?? $default;
            if (! is_int($value) || $value < $least || $value > $most) {
                $in->fault($key, "must be a whole number from {$least} to {$most}");

                return $least;
            }

            return $value;
        };
        $limit = $whole('limit', 1, 1_000_000, 0);
        $amount = isset($document['amount']) ? $in->decimal($document, 'amount', 'amount') : BigDecimal::zero();
        if ($amount->isGreaterThan(100)) {
            $in->fault('amount', 'must be 100 at most');
        }
        $step = $whole('step', 1, 100, 10);
        $grace = $whole('grace', 0, 100, 10);
        $in->throwFaults();

        return new self($limit, $amount, $step, $grace);
    }

    /** Started parts beyond the limit that count; none within the grace. */
    public function units(int $words): int
    {
        return $words * 100 <= $this->limit * (100 + $this->gracePercent) ? 0 : (int) ceil(($words - $this->limit) * 100 / ($this->limit * $this->stepPercent));
    }

    public function apply(BigRational $mark, int $words): BigRational
    {
        return BigRational::max($mark->minus(BigRational::of($this->amount)->multipliedBy($this->units($words))), 0);
    }

    public function working(int $words): string
    {
        return "{$words} words of {$this->limit}: {$this->units($words)} started ".$this->stepPercent.' % × '.Figure::plain($this->amount).' marks';
    }

    public function sentence(): string
    {
        return "{$this->limit} words".($this->amount->isZero() ? '' : '; beyond '.($this->gracePercent === 0 ? 'that' : "{$this->gracePercent} % more").' '.Figure::plain($this->amount)." marks off for each started {$this->stepPercent} % over the limit");
    }
}
