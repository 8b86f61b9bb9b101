<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;

/**
 * One step of a checklist, the points for having done it, and what whoever watches is reminded of.
 */
final readonly class ChecklistItem
{
    public function __construct(
        public string $id,
        public string $title,
        public BigDecimal $points,
        public string $reminder = '',
    ) {
    }
}
