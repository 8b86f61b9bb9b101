<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

/**
 * One thing that stands in the way of release, and the scripts it keeps.
 */
final readonly class Lock
{
    /**
     * @param  list<string>  $scripts  script codes
     */
    public function __construct(
        public ReleaseObstacle $obstacle,
        public array $scripts,
    ) {
    }

    public function isOpen(): bool
    {
        return $this->scripts === [];
    }
}
