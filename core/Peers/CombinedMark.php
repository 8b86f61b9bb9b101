<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

use Brick\Math\BigDecimal;

/**
 * What peers' marks of a script came to.
 */
final readonly class CombinedMark
{
    /**
     * @param  BigDecimal  $mark  0 to 100, rounded half up once
     * @param  float|null  $low  end of the interval that holds the script's mark 95 times in 100; null where the method has none
     * @param  array<string, float>  $weights  by reviewer; their mean is 1
     */
    public function __construct(
        public string $script, public BigDecimal $mark, public ?float $low, public ?float $high, public array $weights,
    ) {
    }
}
