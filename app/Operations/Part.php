<?php

declare(strict_types=1);

namespace App\Operations;

/**
 * A part of what keeps the application going: how it does, in a sentence, and its figures.
 */
final readonly class Part
{
    /**
     * @param  string  $name  a key of lang/en/operations.php, parts
     * @param  string  $says  a sentence without names, marks or texts
     * @param  array<string, int|float>  $figures  by metric name; what is not known is left out
     */
    public function __construct(
        public string $name, public PartState $state, public string $says, public array $figures = [],
    ) {
    }
}
