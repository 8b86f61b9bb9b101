<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Logbook;

/**
 * What a walk over the logbook found.
 */
final readonly class Verification
{
    /**
     * @param  list<ChainFault>  $faults
     */
    public function __construct(
        public int $lines,
        public array $faults,
    ) {
    }

    public function holds(): bool
    {
        return $this->faults === [];
    }
}
