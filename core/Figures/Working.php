<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Figures;

/**
 * How a number came about, step by step.
 */
final readonly class Working
{
    /**
     * @param  list<WorkingLine>  $lines
     */
    public function __construct(public array $lines)
    {
    }

    public function then(WorkingLine $line): self
    {
        return new self([...$this->lines, $line]);
    }

    /**
     * @return list<array{what: string, how: string, result: string}>
     */
    public function toArray(): array
    {
        return array_map(fn (WorkingLine $line) => $line->toArray(), $this->lines);
    }
}
