<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Logbook;

/**
 * How many lines the logbook has and the hash of the last one, sealed with the key and kept apart from the lines.
 */
final readonly class Head
{
    public function __construct(
        public int $count,
        public string $hash,
        public string $seal,
    ) {
    }
}
