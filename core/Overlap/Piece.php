<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

/**
 * Consecutive identical words in a script and a source: word offsets from 0, `length` words.
 */
final readonly class Piece
{
    public function __construct(
        public int $from,
        public int $sourceFrom,
        public int $length,
    ) {
    }

    public function to(): int
    {
        return $this->from + $this->length;
    }

    public function sourceTo(): int
    {
        return $this->sourceFrom + $this->length;
    }

    /** The part of the piece that begins at an offset of the script. */
    public function after(int $from): self
    {
        return $from <= $this->from
            ? $this
            : new self($from, $this->sourceFrom + $from - $this->from, $this->to() - $from);
    }
}
