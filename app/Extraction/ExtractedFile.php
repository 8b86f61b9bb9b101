<?php

declare(strict_types=1);

namespace App\Extraction;

use YoungHarbor\Core\Document\Document;

/**
 * What was understood of a file.
 */
final readonly class ExtractedFile
{
    /**
     * @param  int  $words  before any name was hidden
     * @param  list<string>  $notes  what its author should know about the reading
     * @param  list<array{kind: string, words?: string, note?: string}>  $hidden  what its reader does not see
     */
    public function __construct(
        public FileKind $kind,
        public Document $document,
        public int $words,
        public array $notes,
        public array $hidden = [],
    ) {
    }

    public function text(): string
    {
        return $this->document->text();
    }
}
