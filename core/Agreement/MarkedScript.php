<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

/**
 * A script with the marks that different people gave it, as figures on agreement see it.
 */
final readonly class MarkedScript
{
    /**
     * @param  non-empty-array<string, float>  $marks  by marker, in the order of their seats
     * @param  float  $weight  1 ÷ the chance with which it was picked, above 0
     */
    public function __construct(public string $script, public array $marks, public float $weight = 1.0)
    {
    }
}
