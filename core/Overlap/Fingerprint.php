<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

/**
 * One selected hash of a text and the place of the first word it covers.
 */
final readonly class Fingerprint
{
    public function __construct(
        public int $hash,
        public int $position,
    ) {
    }
}
