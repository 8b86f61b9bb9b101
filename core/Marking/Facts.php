<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

/**
 * What is known of a script besides its marks.
 */
final readonly class Facts
{
    public function __construct(
        public bool $handedIn,
        public bool $agreed = false,
        public bool $held = false,
        public bool $released = false,
    ) {
    }
}
