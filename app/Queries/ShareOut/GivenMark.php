<?php

declare(strict_types=1);

namespace App\Queries\ShareOut;

/**
 * A mark as sharing out sees it: of which script, with whom, how far.
 */
final readonly class GivenMark
{
    public function __construct(
        public string $code,
        public string $part,
        public string $marker,
        public string $name,
        public bool $isBegun,
        public bool $isDone,
    ) {
    }

    public function state(): string
    {
        return $this->isDone ? 'done' : ($this->isBegun ? 'begun' : 'not begun');
    }
}
