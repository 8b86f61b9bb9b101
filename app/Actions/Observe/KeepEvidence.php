<?php

declare(strict_types=1);

namespace App\Actions\Observe;

use App\Exceptions\Refused;
use App\Extraction\Pictures;
use App\Handins\WorkReader;
use App\Models\Mark;
use App\Models\ObservationFile;
use finfo;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/**
 * Keeps a photo, a sound or a file that an observer recorded. What comes twice is kept once.
 */
final class KeepEvidence
{
    /** Bytes: as much as a file of an upload may have. */
    public const LARGEST = 32_000_000;

    /** Files of one mark. */
    public const MOST = 60;

    private const SOUND = ['audio/webm', 'video/webm', 'audio/ogg', 'application/ogg', 'audio/mp4', 'video/mp4', 'audio/x-m4a', 'audio/mpeg', 'audio/wav', 'audio/x-wav'];

    private const TAKEN = ['application/pdf', 'text/plain', 'application/zip', 'text/csv'];

    public function __construct(private readonly Pictures $pictures)
    {
    }

    /**
     * @param  string  $id  made by the device, a UUID
     *
     * @throws Refused for a kind or a size that is not taken
     */
    public function __invoke(Mark $mark, string $id, UploadedFile $file): ObservationFile
    {
        $known = ObservationFile::query()->where('public_id', $id)->first();
        if ($known !== null) {
            return $known->mark_id === $mark->id ? $known : throw new Refused(__('observe.refused.file_known'));
        }
        $mark->isClosed() && throw new Refused(__('observe.refused.closed'));
        ObservationFile::query()->where('mark_id', $mark->id)->count() < self::MOST
            || throw new Refused(__('observe.refused.too_many'));
        $name = WorkReader::safeName($file->getClientOriginalName());
        $mime = (string) (new finfo(FILEINFO_MIME_TYPE))->file($file->getRealPath());
        $bytes = (string) file_get_contents($file->getRealPath());
        [$kind, $mime, $bytes] = match (true) {
            strlen($bytes) > self::LARGEST => throw new Refused(__('observe.refused.file_large', [
                'name' => $name, 'size' => (int) ceil(strlen($bytes) / 1_000_000), 'most' => (int) (self::LARGEST / 1_000_000),
            ])),
            str_starts_with($mime, 'image/'), preg_match('/\.hei[cf]\z/i', $name) === 1 => $this->photo($bytes, $name, $mime),
            in_array($mime, self::SOUND, true) => ['sound', str_replace(['video/', 'application/'], 'audio/', $mime), $bytes],
            in_array($mime, self::TAKEN, true), str_starts_with($mime, 'application/vnd.') => ['file', $mime, $bytes],
            default => throw new Refused(__('observe.refused.file_kind', ['name' => $name])),
        };
        $path = 'observed/'.Str::uuid()->toString();
        Storage::put($path, $bytes);
        try {
            return DB::transaction(fn () => ObservationFile::query()->create([
                'public_id' => $id, 'mark_id' => $mark->id, 'kind' => $kind, 'name' => Str::limit($name, 190, ''), 'path' => $path,
                'mime' => $mime, 'bytes' => strlen($bytes), 'sha256' => hash('sha256', $bytes), 'created_at' => now(),
            ]));
        } catch (UniqueConstraintViolationException) {
            Storage::delete($path); // the same came twice at once

            return ObservationFile::query()->where('mark_id', $mark->id)->where('public_id', $id)->first()
                ?? throw new Refused(__('observe.refused.file_known'));
        } catch (\Throwable $e) {
            Storage::delete($path);
            throw $e;
        }
    }

    /**
     * @return array{string, string, string}
     */
    private function photo(string $bytes, string $name, string $mime): array
    {
        $made = $this->pictures->again($bytes) ?? throw new Refused(
            __(preg_match('/hei[cf]/i', $mime.$name) === 1 ? 'observe.refused.heic' : 'observe.refused.no_picture', ['name' => $name])
        );

        return ['photo', $made->type, $made->bytes];
    }
}
