<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Allocation;

/**
 * One script with one marker, for one of its marks.
 */
final readonly class GivenScript
{
    /** The marks a script can have, in their order. */
    public const PARTS = ['first', 'second', 'third'];

    public function __construct(
        public string $script,
        public string $marker,
        public string $part,
    ) {
    }
}
