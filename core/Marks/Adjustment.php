<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\Exception\MathException;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Marks added for one student, or taken off, after everything else and before rounding; the mark stays from 0 to 100.
 */
final readonly class Adjustment
{
    private const MOST = 100;

    private function __construct(public BigDecimal $marks)
    {
    }

    /**
     * @param  string  $marks  as people write it: 3, −2.5
     *
     * @throws InvalidInput for no number, 0, more than 100 either way, or more than one decimal
     */
    public static function of(string $marks): self
    {
        try {
            $given = BigDecimal::of(strtr(trim($marks), ['−' => '-', '–' => '-', ',' => '.']));
        } catch (MathException) {
            throw InvalidInput::at('marks', 'must be a number such as 3 or −2.5');
        }
        $given->isZero() && throw InvalidInput::at('marks', 'must not be 0: that changes nothing');
        $given->abs()->isGreaterThan(self::MOST) && throw InvalidInput::at('marks', 'must lie from −100 to 100');
        $given->stripTrailingZeros()->getScale() > 1
            && throw InvalidInput::at('marks', 'must have one decimal at most');

        return new self($given);
    }

    public function apply(BigRational $mark): BigRational
    {
        return BigRational::max(0, BigRational::min(self::MOST, $mark->plus($this->marks)));
    }

    /** How it reads in a working: +3, −2.5. */
    public function inWords(): string
    {
        return ($this->marks->isNegative() ? '−' : '+').Figure::plain($this->marks->abs());
    }
}
