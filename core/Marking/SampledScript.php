<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

use Brick\Math\BigRational;

/**
 * A script that is marked a second time: why, and how likely it was to be.
 */
final readonly class SampledScript
{
    /**
     * @param  non-empty-list<SampleReason>  $reasons
     * @param  BigRational  $chance  above 0, at most 1: what its figures are weighted by is 1 ÷ this
     */
    public function __construct(
        public string $script,
        public string $marker,
        public array $reasons,
        public BigRational $chance,
    ) {
    }

    public function isDrawn(): bool
    {
        return $this->reasons[0]->why === WhySampled::Drawn;
    }

    /**
     * @return list<string>
     */
    public function reasonKeys(): array
    {
        return array_map(fn (SampleReason $reason) => $reason->key(), $this->reasons);
    }
}
