<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

use Brick\Math\BigDecimal;

/**
 * What a student has in one assignment, as a module mark takes it.
 */
final readonly class ListedMark
{
    /**
     * @param  BigDecimal|null  $mark  0 to 100, as released; null where there is none
     */
    public function __construct(public string $id, public ?BigDecimal $mark, public bool $isExempt = false)
    {
    }
}
