<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Moderation;

/**
 * What happens to two marks that lie within the tolerance.
 */
enum SettleRule: string
{
    case Mean = 'mean';
    case First = 'first';
    case Higher = 'higher';

    public function sentence(): string
    {
        return match ($this) {
            self::Mean => 'the mean of the two marks',
            self::First => 'the first mark stands',
            self::Higher => 'the higher of the two marks',
        };
    }
}
