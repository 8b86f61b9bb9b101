<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

/**
 * A matched passage: pieces of identical words in one source, with at most a small gap between them.
 */
final readonly class Run
{
    /**
     * @param  non-empty-list<Piece>  $pieces
     */
    public function __construct(
        public string $source,
        public array $pieces,
    ) {
    }

    public function from(): int
    {
        return $this->pieces[0]->from;
    }

    public function to(): int
    {
        return $this->pieces[count($this->pieces) - 1]->to();
    }

    public function sourceFrom(): int
    {
        return $this->pieces[0]->sourceFrom;
    }

    public function sourceTo(): int
    {
        return $this->pieces[count($this->pieces) - 1]->sourceTo();
    }

    /** Identical words in the run; the differing words of its gaps do not count. */
    public function words(): int
    {
        return array_sum(array_map(fn (Piece $piece) => $piece->length, $this->pieces));
    }
}
