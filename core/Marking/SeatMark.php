<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

use Brick\Math\BigDecimal;
use Brick\Math\BigNumber;
use Brick\Math\BigRational;
use Brick\Math\Exception\MathException;
use YoungHarbor\Core\Figures\Figure;

/**
 * The mark in one seat of a script: waiting, begun, or done with a total.
 */
final readonly class SeatMark
{
    /**
     * @param  BigRational|null  $total  out of 100, exact; null until the mark is done
     * @param  string  $written  the total with as many decimals as its rubric has; '' until it is done
     * @param  string  $reason  what its marker says for it, where a rule asks for a reason
     * @param  bool  $blind  made without having seen another mark of the script
     */
    private function __construct(
        public Seat $seat,
        public ?BigRational $total,
        public bool $begun,
        public string $written = '',
        public string $reason = '',
        public bool $blind = false,
    ) {
    }

    public static function waiting(Seat $seat): self
    {
        return new self($seat, null, false);
    }

    public static function begun(Seat $seat): self
    {
        return new self($seat, null, true);
    }

    /**
     * @param  bool|null  $blind  as its seat is marked when null
     *
     * @throws MathException for a total that is no number
     */
    public static function done(
        Seat $seat, BigNumber|string|int $total, string $reason = '', ?bool $blind = null,
    ): self {
        $exact = BigRational::of($total);

        return new self(
            $seat, $exact, true, $total instanceof BigDecimal ? (string) $total : Figure::exact($exact), $reason,
            $blind ?? $seat->isBlind(),
        );
    }

    public function isDone(): bool
    {
        return $this->total !== null;
    }
}
