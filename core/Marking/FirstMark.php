<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

use Brick\Math\BigDecimal;

/**
 * A script with its first mark, as drawing a sample sees it.
 */
final readonly class FirstMark
{
    /**
     * @param  BigDecimal  $mark  0 to 100
     */
    public function __construct(public string $script, public string $marker, public BigDecimal $mark)
    {
    }
}
