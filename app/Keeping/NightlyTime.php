<?php

declare(strict_types=1);

namespace App\Keeping;

use App\Wording\LocalTime;
use Illuminate\Support\Carbon;

/**
 * When what was confirmed goes.
 */
final class NightlyTime
{
    /** In the institution's zone. */
    public const AT = '02:40';

    /** Hours that are left at least to take it back. */
    private const LEAST = 6;

    public static function next(): Carbon
    {
        [$hour, $minute] = array_map(intval(...), explode(':', self::AT));
        $at = now(LocalTime::zone())->setTime($hour, $minute);
        while ($at->lt(now()->addHours(self::LEAST))) {
            $at = $at->addDay();
        }

        return $at->utc();
    }
}
