<?php

declare(strict_types=1);

namespace App\Documents;

use App\Extraction\Child;
use App\Extraction\CopyKind;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\HandinFile;
use App\Models\Script;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use RuntimeException;
use Symfony\Component\HttpFoundation\StreamedResponse;
use YoungHarbor\Core\Tables\Csv;

/**
 * Hand-ins as one ZIP, named by script codes, with a list inside: files made anew from the text as markers read it, or
 * the pages of a PDF drawn anew; never the originals. It is streamed as it is packed, so that a large cohort needs
 * neither memory nor a second copy on disk. Every entry is dated the same day.
 */
final class TakeAwayZip
{
    public function __construct(
        private readonly HandinCopies $copies,
        private readonly Logbook $logbook,
        private readonly StreamedZip $zip,
    ) {
    }

    /**
     * @param  Builder<Script>  $scripts  whose work is in
     */
    public function zip(Assignment $assignment, Builder $scripts, User $by): StreamedResponse
    {
        $name = Str::slug("{$assignment->module->code} {$assignment->title}").'-scripts.zip';
        $scripts->whereNull('lead_id')->whereNotNull('current_handin_id');
        DB::transaction(
            fn () => $this->logbook->write(
                Entry::of(LogEvent::ScriptsTaken)->on($assignment)->with(scripts: (clone $scripts)->count())->by($by)
            )
        );

        return $this->zip->of($name, fn (string $folder) => $this->fill($folder, $scripts), isPacked: true);
    }

    /**
     * @param  Builder<Script>  $scripts
     */
    private function fill(string $folder, Builder $scripts): void
    {
        $list = fopen("{$folder}/list.csv", 'w') ?: throw new RuntimeException('The list cannot be written.');
        fwrite($list, "\u{FEFF}".Csv::line(['Script', 'File', 'Words', 'SHA-256 of the file here']));
        foreach ($scripts->with(['currentHandin', 'currentHandin.files'])->orderBy('code')->lazy(50) as $script) {
            // nothing can be made of it yet, and nothing is left out in silence
            if ($script->currentHandin?->read_at === null) {
                fwrite($list, Csv::line([$script->code, 'still being read', null, null]));

                continue;
            }
            foreach ($this->files($script->code, $script->currentHandin) as $as => $from) {
                if (is_string($from)) {
                    // What a restored backup has dated anew is dated as it was made.
                    touch(Storage::path($from), Child::DATED);
                    symlink(Storage::path($from), "{$folder}/{$as}");
                } else {
                    file_put_contents("{$folder}/{$as}", $from->link."\n");
                    touch("{$folder}/{$as}", Child::DATED);
                }
                fwrite(
                    $list,
                    Csv::line(
                        [
                            $script->code, $as, $script->currentHandin->words,
                            (string) hash_file('sha256', "{$folder}/{$as}"),
                        ]
                    ),
                );
            }
        }
        fclose($list);
        touch("{$folder}/list.csv", Child::DATED);
    }

    /**
     * @return iterable<string, string|HandinFile> paths by the names they go under, or links
     */
    private function files(string $code, Handin $handin): iterable
    {
        if ($handin->words > 0 && ! $handin->isErased()) {
            $isPages = $handin->files->count() === 1 && $handin->files->first()?->pages_path !== null;
            $kind = $isPages ? CopyKind::Pdf : CopyKind::Docx;
            yield "{$code}.{$kind->value}" => $this->copies->path($handin, $kind);
        }
        foreach ($handin->files as $file) {
            if ($file->link !== null) {
                yield "{$code}-{$file->position}-link.txt" => $file;
            } elseif ($handin->files->count() > 1 && $file->pages_path !== null) {
                yield "{$code}-{$file->position}.pdf" => $file->pages_path;
            }
        }
    }
}
