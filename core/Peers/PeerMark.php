<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

use Brick\Math\BigDecimal;

/**
 * One reviewer's mark of a script.
 */
final readonly class PeerMark
{
    /**
     * @param  BigDecimal  $mark  0 to 100
     */
    public function __construct(public string $reviewer, public string $script, public BigDecimal $mark)
    {
    }
}
