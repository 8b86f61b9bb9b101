<?php

declare(strict_types=1);

namespace App\Discussion;

use App\Exceptions\Refused;
use App\Extraction\FileKind;
use App\Extraction\Pictures;
use App\Extraction\Reader;
use App\Extraction\Refusal;
use App\Handins\WorkReader;
use App\Models\Assignment;
use App\Models\PostFile;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/**
 * Takes what is put beside a post: pictures, decoded and encoded anew so that nothing the camera wrote stays in them,
 * and
 * documents of the kinds that are handed in.
 */
final class PostFiles
{
    public const MOST = 4;

    /** Bytes of a picture as it comes, at most. */
    private const LARGEST_PICTURE = 20_000_000;

    public function __construct(private readonly Pictures $pictures, private readonly Reader $reader)
    {
    }

    /**
     * @param  list<array{file: UploadedFile, description: string}>  $files
     * @param  bool  $documents  whether documents are taken, which can hold names, or pictures alone
     * @return list<array<string, mixed>> columns of the rows to keep, their files stored
     *
     * @throws Refused for one that cannot be taken; then none is
     */
    public function take(Assignment $assignment, array $files, bool $documents): array
    {
        count($files) <= self::MOST || throw new Refused(__('discuss.files.too_many', ['most' => self::MOST]), 'files');
        $rows = [];
        try {
            foreach ($files as $n => $one) {
                $rows[] = ['position' => $n + 1, ...$this->one($assignment, $one['file'], trim($one['description']), $documents)];
            }
        } catch (Refused $e) {
            $this->drop($rows);
            throw $e;
        }

        return $rows;
    }

    /**
     * @param  list<array<string, mixed>>  $rows
     */
    public function drop(array $rows): void
    {
        Storage::delete(array_map(fn (array $row) => (string) $row['path'], $rows));
    }

    /**
     * @return array<string, mixed>
     */
    private function one(Assignment $assignment, UploadedFile $file, string $description, bool $documents): array
    {
        $name = WorkReader::safeName($file->getClientOriginalName());
        $mime = (string) $file->getMimeType();
        if (str_starts_with($mime, 'image/') || preg_match('/\.(hei[cf]|jpe?g|png|gif|webp)\z/i', $name) === 1) {
            return $this->picture($file, $name, $mime, $description);
        }
        $documents || throw new Refused(__('discuss.files.pictures_only', ['name' => $name]), 'files');
        $file->getSize() <= $assignment->max_megabytes * 1_048_576
            || throw new Refused(__('discuss.files.too_large', ['name' => $name, 'most' => $assignment->max_megabytes]), 'files');
        try {
            $kind = $this->reader->kind($file->getRealPath(), $name);
        } catch (Refusal $e) {
            throw new Refused("{$name}: {$e->getMessage()}", 'files');
        }

        return $this->kept((string) file_get_contents($file->getRealPath()), $kind->value, $name, $description,
            $kind === FileKind::Pdf ? 'application/pdf' : 'application/octet-stream');
    }

    /**
     * @return array<string, mixed>
     */
    private function picture(UploadedFile $file, string $name, string $mime, string $description): array
    {
        $file->getSize() <= self::LARGEST_PICTURE || throw new Refused(
            __('discuss.files.picture_large', ['name' => $name, 'size' => (int) ceil($file->getSize() / 1_000_000)]), 'files',
        );
        $made = $this->pictures->again((string) file_get_contents($file->getRealPath())) ?? throw new Refused(
            __(preg_match('/hei[cf]/i', $mime.$name) === 1 ? 'discuss.files.heic' : 'discuss.files.no_picture', ['name' => $name]),
            'files',
        );
        $description !== '' || throw new Refused(__('discuss.files.say', ['name' => $name]), 'files');

        return $this->kept($made->bytes, PostFile::PICTURE, $name, $description, $made->type);
    }

    /**
     * @return array<string, mixed>
     */
    private function kept(string $bytes, string $kind, string $name, string $description, string $mime): array
    {
        $path = 'posts/'.Str::uuid()->toString();
        Storage::put($path, $bytes);

        return [
            'public_id' => Str::uuid()->toString(), 'kind' => $kind, 'name' => Str::limit($name, 190, ''),
            'description' => Str::limit($description, 490), 'path' => $path, 'mime' => $mime, 'bytes' => strlen($bytes),
            'sha256' => hash('sha256', $bytes),
        ];
    }
}
