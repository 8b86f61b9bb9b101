<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Allocation;

/**
 * Who marks one script first, and who second.
 */
final readonly class Pairing
{
    public function __construct(
        public string $script,
        public string $first,
        public ?string $second,
    ) {
    }
}
