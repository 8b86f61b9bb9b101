<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

/**
 * How a mark is held against the lower bounds of grade bands, after its one rounding.
 */
enum BoundaryRule: string
{
    case AsItStands = 'as it stands';
    case WholeMarks = 'whole marks';

    public function sentence(): string
    {
        return match ($this) {
            self::AsItStands => 'A mark is in the highest band it reaches as it stands: 69.5 is not 70.',
            self::WholeMarks => 'A mark is rounded to a whole number, half up, to find its band: 69.5 reaches 70, 69.4 does not.',
        };
    }
}
