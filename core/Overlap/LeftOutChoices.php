<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

/**
 * What a reader leaves out of a report's figures. What was given (the brief, templates) is always left out.
 */
final readonly class LeftOutChoices
{
    /**
     * @param  int<0, max>  $shortest  runs of fewer identical words do not count
     * @param  list<string>  $sources  names of sources that do not count
     * @param  list<array{int, int}>  $passages  word offsets, ends exclusive: passages of the script that do not count
     */
    public function __construct(
        public bool $quotations = false,
        public bool $bibliography = false,
        public int $shortest = 0,
        public array $sources = [],
        public array $passages = [],
    ) {
    }

    /** Whether words that stand in a place of this kind are left out. */
    public function leaveOut(string $why): bool
    {
        return match ($why) {
            'quotation' => $this->quotations,
            'bibliography' => $this->bibliography,
            default => true,
        };
    }
}
