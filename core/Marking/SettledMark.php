<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

use Brick\Math\BigRational;
use YoungHarbor\Core\Figures\Working;

/**
 * The agreed mark of a script, exact, with the working that led to it.
 */
final readonly class SettledMark
{
    public function __construct(
        public BigRational $mark,
        public SettledBy $by,
        public Working $working,
    ) {
    }
}
