<?php

declare(strict_types=1);

namespace YoungHarbor\Core;

/**
 * The seven steps of an assignment, in the order people work.
 */
enum Stage: string
{
    case Plan = 'plan';
    case Collect = 'collect';
    case Screen = 'screen';
    case ShareOut = 'share-out';
    case Mark = 'mark';
    case Moderate = 'moderate';
    case Release = 'release';

    public function label(): string
    {
        return match ($this) {
            self::ShareOut => 'Share out',
            default => ucfirst($this->value),
        };
    }
}
