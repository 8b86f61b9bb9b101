<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * A word limit and what going over it costs: so many marks for each started part of the limit beyond it, after a
 * grace. A limit without a cost is only shown. Hidden words never count; quotations and the bibliography count unless
 * the assignment leaves them out.
 */
final readonly class LengthRule
{
    private function __construct(
        public int $limit,
        public BigDecimal $amount,
        public int $stepPercent,
        public int $gracePercent,
        public bool $withoutQuotations,
        public bool $withoutBibliography,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  {"limit": 900, "amount": "5" (marks, "0" for none), "step": 10 and "grace": 10 (percent of the limit), "quotations": true and "bibliography": true where they count}
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
        $counts = function (string $key) use ($in, $document): bool {
            $value = $document[$key] ?? true;
            is_bool($value) || $in->fault($key, 'must be true or false');

            return (bool) $value;
        };
        $quotations = $counts('quotations');
        $bibliography = $counts('bibliography');
        $in->throwFaults();

        return new self($limit, $amount, $step, $grace, ! $quotations, ! $bibliography);
    }

    /** Started parts beyond the limit that count; none within the grace. */
    public function units(int $words): int
    {
        return $words * 100 <= $this->limit * (100 + $this->gracePercent)
            ? 0
            : (int) ceil(($words - $this->limit) * 100 / ($this->limit * $this->stepPercent));
    }

    /** Words of a work that count. */
    public function counted(Length $length): int
    {
        return $length->counted($this->withoutQuotations, $this->withoutBibliography);
    }

    public function apply(BigRational $mark, Length $length): BigRational
    {
        return BigRational::max(
            $mark->minus(BigRational::of($this->amount)->multipliedBy($this->units($this->counted($length)))), 0,
        );
    }

    public function working(Length $length): string
    {
        return "{$this->countedInWords($length)} of {$this->limit}: {$this->units($this->counted($length))} started "
            .$this->stepPercent.' % × '.Figure::plain($this->amount).' marks';
    }

    /** How long a work is here: "335 words (465, less 130 hidden)". */
    public function countedInWords(Length $length): string
    {
        $left = $length->left($this->withoutQuotations, $this->withoutBibliography);

        return "{$this->counted($length)} words".($left === '' ? '' : " ({$length->words}, less {$left})");
    }

    public function sentence(): string
    {
        $left = implode(
            ' and ',
            array_filter(
                [$this->withoutQuotations ? 'quotations' : '', $this->withoutBibliography ? 'the bibliography' : '']
            ),
        );

        return "{$this->limit} words".($left === '' ? '' : ", {$left} not counted").(
            $this->amount->isZero()
                ? ''
                : '; beyond '.(
                    $this->gracePercent === 0 ? 'that' : "{$this->gracePercent} % more"
                ).' '.Figure::plain($this->amount)." marks off for each started {$this->stepPercent} % over the limit"
        );
    }
}
