<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Extraction\FileKind;

/**
 * What was read of one file of a student's work, or of text that was typed, or a link.
 */
final readonly class PieceRead
{
    /**
     * @param  string  $bytes  as it came in
     * @param  string  $html  sanitised, its authors masked
     * @param  list<string>  $notes
     * @param  list<array{kind: string, words?: string, note?: string}>  $hidden
     * @param  array{string, FileKind}|null  $clean  the copy staff get
     */
    public function __construct(
        public string $name,
        public FileKind $kind,
        public string $bytes,
        public string $html,
        public string $text,
        public int $words,
        public array $notes,
        public ?array $clean = null,
        public ?string $link = null,
        public array $hidden = [],
    ) {
    }
}
