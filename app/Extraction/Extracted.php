<?php

declare(strict_types=1);

namespace App\Extraction;

/**
 * What was understood of a file.
 */
final readonly class Extracted
{
    /**
     * @param  string  $html  sanitised
     * @param  string  $text  paragraphs parted by empty lines
     * @param  list<string>  $notes  what its author should know about the reading
     * @param  list<array{kind: string, words?: string, note?: string}>  $hidden  what its reader does not see
     */
    public function __construct(
        public FileKind $kind,
        public string $html,
        public string $text,
        public int $words,
        public array $notes,
        public array $hidden = [],
    ) {
    }
}
