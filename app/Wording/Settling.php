<?php

declare(strict_types=1);

namespace App\Wording;

use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Marking\OpenMark;

/**
 * Why a script is not settled, in words.
 */
final class Settling
{
    public static function why(OpenMark $open): string
    {
        return __("moderate.why_open.{$open->why->value}", [
            'apart' => $open->apart === null ? '' : Figure::shown($open->apart->toBigRational()),
            'limit' => $open->limit === null ? '' : Figure::shown($open->limit->toBigRational()),
        ]);
    }
}
