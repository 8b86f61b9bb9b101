<?php

declare(strict_types=1);

namespace App\Handins;

use App\Extraction\FileKind;
use App\Models\HandinFile;
use Illuminate\Support\Facades\Storage;

/**
 * A file of a student's work that is kept and can be read.
 */
final readonly class KeptPiece
{
    public function __construct(
        public string $name,
        public FileKind $kind,
        public string $path,
        public ?string $link = null,
    ) {
    }

    public static function of(HandinFile $file): self
    {
        return new self($file->original_name, FileKind::from($file->kind), Storage::path($file->path), $file->link);
    }
}
