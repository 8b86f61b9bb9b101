<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Extraction\Extracted;

/**
 * What was read of a student's work.
 */
final readonly class WorkRead
{
    /**
     * @param  non-empty-list<array{name: string, bytes: string, read: Extracted}>  $pieces
     * @param  string  $html  sanitised, its authors masked
     * @param  string  $text  its authors masked
     * @param  list<string>  $notes
     */
    public function __construct(
        public array $pieces,
        public string $html,
        public string $text,
        public int $words,
        public array $notes,
    ) {
    }
}
