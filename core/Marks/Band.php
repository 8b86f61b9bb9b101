<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

use Brick\Math\BigDecimal;

/**
 * One grade band: its name and the lowest mark in it.
 */
final readonly class Band
{
    public function __construct(
        public string $name,
        public BigDecimal $from,
    ) {
    }
}
