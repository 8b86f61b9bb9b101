<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

use Brick\Math\BigDecimal;

/**
 * What is left of a module, and the least mark in each of it that reaches a mark.
 */
final readonly class StillNeeded
{
    /**
     * @param  non-empty-list<string>  $open  ids of what is left
     * @param  BigDecimal|null  $mark  0 to 100, the same in each; null where even 100 does not reach it
     */
    public function __construct(public array $open, public ?BigDecimal $mark)
    {
    }
}
