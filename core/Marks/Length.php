<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

/**
 * How long a work is, in words, with those of them that may not count for its length. No word is in two of the parts.
 */
final readonly class Length
{
    /**
     * @param  int  $words  all of them
     * @param  int  $hidden  that a reader of the file does not see; they never count
     * @param  int  $quotations  quoted
     * @param  int  $bibliography  in the list of what was read
     */
    public function __construct(
        public int $words,
        public int $hidden = 0,
        public int $quotations = 0,
        public int $bibliography = 0,
    ) {
    }

    /** Words that count, as an assignment has it. */
    public function counted(bool $withoutQuotations, bool $withoutBibliography): int
    {
        return max(
            0,
            $this->words - $this->hidden - ($withoutQuotations ? $this->quotations : 0) - (
                $withoutBibliography ? $this->bibliography : 0
            ),
        );
    }

    /** What was taken off, in words; empty when nothing was. */
    public function left(bool $withoutQuotations, bool $withoutBibliography): string
    {
        return implode(', ', array_filter([
            $this->hidden > 0 ? "{$this->hidden} hidden" : '',
            $withoutQuotations && $this->quotations > 0 ? "{$this->quotations} quoted" : '',
            $withoutBibliography && $this->bibliography > 0 ? "{$this->bibliography} in the bibliography" : '',
        ], fn (string $part) => $part !== ''));
    }
}
