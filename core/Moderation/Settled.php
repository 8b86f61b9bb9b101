<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Moderation;

use Brick\Math\BigDecimal;
use YoungHarbor\Core\Figures\Working;

/**
 * A mark that is no longer open, exact, with the working that led to it.
 */
final readonly class Settled
{
    public function __construct(
        public BigDecimal $mark,
        public Working $working,
    ) {
    }
}
