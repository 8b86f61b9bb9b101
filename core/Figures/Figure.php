<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Figures;

use Brick\Math\BigDecimal;
use Brick\Math\BigNumber;
use Brick\Math\BigRational;
use Brick\Math\Exception\RoundingNecessaryException;
use Brick\Math\RoundingMode;

/**
 * Exact numbers as people read them.
 */
final class Figure
{
    /** A decimal without trailing zeros: 12.50 is shown as 12.5. */
    public static function plain(BigDecimal $number): string
    {
        return $number->isZero() ? '0' : (string) $number->stripTrailingZeros();
    }

    /** Cut (not rounded) to a number of places, without trailing zeros. */
    public static function cut(BigNumber $number, int $places = 6): string
    {
        return self::plain($number->toScale($places, RoundingMode::DOWN));
    }

    /**
     * As it stands when it has at most a number of places, else cut there with "…", so that no reader takes a cut
     * number for the whole one.
     */
    public static function shown(BigRational $number, int $places = 4): string
    {
        $cut = $number->toScale($places, RoundingMode::DOWN);

        return self::plain($cut).($cut->toBigRational()->isEqualTo($number) ? '' : '…');
    }

    /** The whole number without rounding, as it is stored and read back: a decimal where there is one, else "n/d". */
    public static function exact(BigRational $number): string
    {
        try {
            return self::plain($number->toBigDecimal());
        } catch (RoundingNecessaryException) {
            return (string) $number->simplified();
        }
    }
}
