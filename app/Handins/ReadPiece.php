<?php

declare(strict_types=1);

namespace App\Handins;

use App\Extraction\FileKind;
use YoungHarbor\Core\Document\Document;

/**
 * What was read of one file of a student's work, or of text that was typed, or a link.
 */
final readonly class ReadPiece
{
    /**
     * @param  Document  $document  in which its authors are not named
     * @param  list<string>  $notes
     * @param  list<array{kind: string, words?: string, note?: string}>  $hidden
     */
    public function __construct(
        public string $name,
        public FileKind $kind,
        public Document $document,
        public int $words,
        public array $notes,
        public ?string $link = null,
        public array $hidden = [],
    ) {
    }

    /** Its words; none of what only leads to a page elsewhere. */
    public function text(): string
    {
        return $this->link === null ? $this->document->text() : '';
    }
}
