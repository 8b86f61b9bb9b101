<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;

/**
 * What stands at the head of a criterion of any kind.
 */
final readonly class CriterionHead
{
    public function __construct(
        public string $id,
        public string $title,
        public string $purpose,
        public BigDecimal $weight,
        public bool $optional,
    ) {
    }
}
