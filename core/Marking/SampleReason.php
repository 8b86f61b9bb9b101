<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

use Brick\Math\BigDecimal;
use YoungHarbor\Core\Figures\Figure;

/**
 * One reason why a script is in a sample, with the boundary it is about.
 */
final readonly class SampleReason
{
    public function __construct(public WhySampled $why, public ?BigDecimal $boundary = null)
    {
    }

    /** As it is stored and printed: "fail", "near 60", "drawn". */
    public function key(): string
    {
        return $this->why->value.($this->boundary === null ? '' : ' '.Figure::plain($this->boundary));
    }

    public static function fromKey(string $key): self
    {
        return str_starts_with($key, WhySampled::Near->value.' ')
            ? new self(WhySampled::Near, BigDecimal::of(substr($key, 5)))
            : new self(WhySampled::from($key));
    }
}
