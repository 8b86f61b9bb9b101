<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Logbook;

/**
 * Something that is not as it was written, and at which line.
 */
final readonly class ChainFault
{
    /**
     * @param  int|null  $other  the line that stands in a missing one's place, or the one the head tells of
     */
    public function __construct(
        public WhyBroken $why,
        public int $line,
        public ?int $other = null,
    ) {
    }
}
