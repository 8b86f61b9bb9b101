<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Fairway;

/**
 * How far a stage is.
 */
enum StageProgress: string
{
    case NotBegun = 'not-begun';
    case UnderWay = 'under-way';
    case Done = 'done';

    public static function of(int $done, int $all): self
    {
        return match (true) {
            $all > 0 && $done >= $all => self::Done,
            $done > 0 => self::UnderWay,
            default => self::NotBegun,
        };
    }
}
