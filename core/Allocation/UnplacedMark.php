<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Allocation;

/**
 * A mark for which there is nobody, and why.
 */
final readonly class UnplacedMark
{
    /**
     * @param  string  $part  first, second, … or peer
     * @param  array<string, int>  $figures  as {@see WhyUnplaced} says
     */
    public function __construct(
        public string $script,
        public string $part,
        public WhyUnplaced $why,
        public array $figures = [],
    ) {
    }

    /**
     * @return array{script: string, part: string, why: string, figures: array<string, int>}
     */
    public function toArray(): array
    {
        return [
            'script' => $this->script, 'part' => $this->part, 'why' => $this->why->value, 'figures' => $this->figures,
        ];
    }
}
