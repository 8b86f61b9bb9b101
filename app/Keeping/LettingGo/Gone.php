<?php

declare(strict_types=1);

namespace App\Keeping\LettingGo;

/**
 * What was let go.
 */
final readonly class Gone
{
    /**
     * @param  array<string, int|float>  $counts  how much of what, and figures that are kept of it
     * @param  list<string>  $paths  of files that are to go once it is certain
     */
    public function __construct(
        public array $counts,
        public array $paths = [],
    ) {
    }
}
