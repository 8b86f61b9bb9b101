<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Allocation;

/**
 * A script as a plan sees it: nothing of what stands in it, only what decides who may mark it.
 */
final readonly class Work
{
    /**
     * @param  string|null  $group  scripts of one group may be kept together
     * @param  list<string>  $authors  whose work it is: conflicts of interest name them
     */
    public function __construct(
        public string $id,
        public ?string $section = null,
        public ?string $group = null,
        public array $authors = [],
    ) {
    }
}
