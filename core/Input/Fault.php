<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Input;

/**
 * One thing wrong with an input, and where: `criteria[2].weight: must be above 0`.
 */
final readonly class Fault implements \Stringable
{
    public function __construct(
        public string $place,
        public string $what,
    ) {
    }

    public function __toString(): string
    {
        return $this->place === '' ? $this->what : $this->place.': '.$this->what;
    }
}
