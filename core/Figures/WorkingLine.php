<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Figures;

/**
 * One step of how a number came about: what was taken, what was done with it, what it came to.
 */
final readonly class WorkingLine
{
    public function __construct(
        public string $what,
        public string $how,
        public string $result,
    ) {
    }

    /**
     * @return array{what: string, how: string, result: string}
     */
    public function toArray(): array
    {
        return ['what' => $this->what, 'how' => $this->how, 'result' => $this->result];
    }
}
