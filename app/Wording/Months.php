<?php

declare(strict_types=1);

namespace App\Wording;

/**
 * A number of months as people say it.
 */
final class Months
{
    /** "2 years", "18 months". */
    public static function shown(int $months): string
    {
        return $months % 12 === 0
            ? trans_choice('keeping.periods.years', intdiv($months, 12), ['count' => intdiv($months, 12)])
            : trans_choice('keeping.periods.months', $months, ['count' => $months]);
    }
}
