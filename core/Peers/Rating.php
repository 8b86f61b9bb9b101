<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

use Brick\Math\BigDecimal;

/**
 * What one member of a group gave another, or themself, for their contribution.
 */
final readonly class Rating
{
    /**
     * @param  BigDecimal  $points  from 0 on
     */
    public function __construct(public string $rater, public string $rated, public BigDecimal $points)
    {
    }
}
