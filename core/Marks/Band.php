<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

use Brick\Math\BigDecimal;

/**
 * One grade band: its name, the lowest mark in it, and the mark it stands for when a band is turned into a number.
 */
final readonly class Band
{
    public function __construct(
        public string $name,
        public BigDecimal $from,
        public ?BigDecimal $value = null,
    ) {
    }
}
