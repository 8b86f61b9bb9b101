<?php

declare(strict_types=1);

namespace App\Handins;

use App\Extraction\FileKind;

/**
 * What was read of a student's work.
 */
final readonly class ReadPieces
{
    /**
     * @param  non-empty-list<ReadPiece>  $pieces
     * @param  string  $html  written from the tree, its authors masked
     * @param  string  $text  its authors masked
     * @param  list<string>  $notes
     * @param  list<array{place: string, fate: string, times: int, around?: list<string>}>  $identity  where its authors were named
     * @param  list<array{kind: string, words?: string, note?: string}>  $hidden  what a reader of the files does not see
     */
    public function __construct(
        public array $pieces,
        public string $html,
        public string $text,
        public int $words,
        public array $notes,
        public array $identity,
        public array $hidden = [],
    ) {
    }

    /** Whether nothing in it has to be looked at to find a name: no page of a PDF, no picture. */
    public function isLookedThrough(): bool
    {
        return ! str_contains($this->html, '<img ')
            && array_filter($this->pieces, fn (ReadPiece $piece) => $piece->kind === FileKind::Pdf) === [];
    }
}
