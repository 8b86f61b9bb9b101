<?php

declare(strict_types=1);

namespace App\Handins;

use App\Extraction\FileKind;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use RuntimeException;

/**
 * One file of a student's work as it came, or text that was typed, or a link: its kind is known, and nothing of it has
 * been read.
 */
final readonly class UploadedPiece
{
    /**
     * @param  UploadedFile|string  $content  a file, or what was typed
     * @param  string|null  $link  the address, when a link was handed in
     */
    public function __construct(
        public string $name,
        public FileKind $kind,
        public UploadedFile|string $content,
        public ?string $link = null,
    ) {
    }

    public function bytes(): int
    {
        return is_string($this->content) ? strlen($this->content) : (int) $this->content->getSize();
    }

    public function sha256(): string
    {
        return is_string($this->content)
            ? hash('sha256', $this->content)
            : (string) hash_file('sha256', $this->content->getRealPath());
    }

    /** Keeps it as it came, and gives the path. */
    public function store(string $folder): string
    {
        $path = "{$folder}/".Str::uuid()->toString();
        $kept = is_string($this->content)
            ? Storage::put($path, $this->content)
            : Storage::putFileAs($folder, $this->content, basename($path)) !== false;

        return $kept ? $path : throw new RuntimeException('A file could not be kept.');
    }
}
