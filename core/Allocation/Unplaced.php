<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Allocation;

/**
 * A mark for which there is nobody, and why.
 */
final readonly class Unplaced
{
    public function __construct(
        public string $script,
        public string $part,
        public string $why,
    ) {
    }
}
