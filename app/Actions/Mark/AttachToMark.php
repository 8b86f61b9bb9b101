<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Exceptions\Refused;
use App\Handins\WorkReader;
use App\Models\Mark;
use App\Models\MarkAttachment;
use finfo;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use YoungHarbor\Core\Names\Mask;

/**
 * Keeps what a marker said or attached.
 */
final class AttachToMark
{
    public const MOST = 30;

    /** What recordings may be, by what stands in them. */
    private const SOUND = [
        'voice' => [
            'audio/webm', 'video/webm', 'audio/ogg', 'application/ogg', 'audio/mp4', 'video/mp4', 'audio/x-m4a',
        ],
        'video' => ['video/webm', 'video/mp4'],
    ];

    private const RUNS = [
        'application/x-dosexec', 'application/x-executable', 'application/x-sharedlib', 'text/x-shellscript',
        'text/html', 'image/svg+xml', 'application/x-httpd-php', 'text/x-php',
    ];

    public function __construct(private readonly ChangeMark $change)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(
        Mark $mark, string $kind, UploadedFile $file, ?string $criterion, ?float $seconds, string $written,
    ): MarkAttachment {
        $mime = (string) (new finfo(FILEINFO_MIME_TYPE))->file($file->getRealPath());
        if ($kind !== 'file' && ! in_array($mime, self::SOUND[$kind], true)) {
            throw new Refused(
                "This is no {$kind} recording that browsers play (it is {$mime}). Record it anew, or attach it as a file.",
                'recording',
            );
        }
        if ($kind === 'file' && in_array($mime, self::RUNS, true)) {
            throw new Refused(
                'Files that can run, and web pages, are not attached. Put it into a ZIP, or send a PDF.', 'file',
            );
        }
        $most = (float) config('harbor.voice.seconds');
        if ($kind !== 'file' && ($seconds === null || $seconds <= 0 || $seconds > $most + 5)) {
            throw new Refused(
                'A recording lasts '.(int) ($most / 60)
                    .' minutes at most. This one was not kept on the server; record a shorter one.',
                'recording',
            );
        }
        $masks = WorkReader::masks([$mark->marker]);
        $name = WorkReader::safeName($file->getClientOriginalName());
        if ($kind !== 'file' && Mask::count($masks, $this->properties($file)) > 0) {
            throw new Refused(
                "This recording names you in its properties, as some recorders write, and students would have them. Record it here, or take your name out of the recorder's settings.",
                'recording',
            );
        }
        $path = 'attachments/'.Str::uuid()->toString();
        Storage::put($path, (string) file_get_contents($file->getRealPath()));
        $made = null;
        ($this->change)($mark, function (Mark $stored) use (
            $kind, $file, $name, $masks, $criterion, $seconds, $written, $mime, $path, &$made,
        ): void {
            if ($stored->attachments()->count() >= self::MOST) {
                Storage::delete($path);
                throw new Refused(
                    'A script has '.self::MOST.' recordings and files at most. Take one away first.', 'file',
                );
            }
            $made = MarkAttachment::query()->create([
                'mark_id' => $stored->id, 'kind' => $kind,
                'criterion' => $criterion !== null && $stored->rubricVersion->toCore()->criterion($criterion) !== null
                    ? $criterion
                    : null,
                'name' => $kind !== 'file'
                    ? ''
                    : (array_filter($masks, fn (Mask $mask) => $mask->namesFile($name)) !== []
                        ? 'feedback.'.strtolower(pathinfo($name, PATHINFO_EXTENSION)) : $name),
                'path' => $path, 'mime' => $kind === 'voice' ? str_replace('video/', 'audio/', $mime) : $mime,
                'bytes' => (int) $file->getSize(), 'seconds' => $kind === 'file' ? null : $seconds,
                'written' => $written,
            ]);
            $stored->lock_version++;
        });
        assert($made instanceof MarkAttachment);

        return $made;
    }

    /** What can be read in the head and foot of a recording, where its properties stand. */
    private function properties(UploadedFile $file): string
    {
        $bytes = (string) file_get_contents($file->getRealPath());
        $ends = substr($bytes, 0, 65_536)."\n".substr($bytes, -65_536);
        preg_match_all('/[\x20-\x7E\xC2-\xF4\x80-\xBF]{4,}/', $ends."\n".str_replace("\0", '', $ends), $strings);

        return mb_scrub(implode("\n", $strings[0]));
    }
}
