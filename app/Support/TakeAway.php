<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Assignment;
use App\Models\Script;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use RuntimeException;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\Process\Process;
use YoungHarbor\Core\Formats\Csv;

/**
 * Hand-ins as one ZIP, named by script codes, with a list inside: the copies without names, never the originals. It is
 * streamed as it is made, so that a large cohort needs neither memory nor a second copy on disk.
 */
final class TakeAway
{
    /**
     * @param  Builder<Script>  $scripts  whose work is in
     */
    public function zip(Assignment $assignment, Builder $scripts): StreamedResponse
    {
        $name = Str::slug("{$assignment->module->code} {$assignment->title}").'-scripts.zip';

        return new StreamedResponse(function () use ($scripts): void {
            $folder = sys_get_temp_dir().'/'.Str::uuid()->toString();
            mkdir($folder, 0700);
            try {
                $this->fill($folder, $scripts);
                // Documents are packed already: they are stored as they are. Links in the folder lead to the copies.
                $process = new Process(['zip', '-q', '-0', '-X', '-r', '-', '.'], $folder, timeout: 3600);
                $exit = $process->run(function (string $type, string $piece) use ($process): void {
                    if ($type === Process::OUT) {
                        echo $piece;
                        flush();
                        $process->clearOutput();
                    }
                });
                $exit === 0 || throw new RuntimeException('The ZIP could not be made: '.$process->getErrorOutput());
            } finally {
                File::deleteDirectory($folder);
            }
        }, 200, ['Content-Type' => 'application/zip', 'Content-Disposition' => 'attachment; filename="'.$name.'"']);
    }

    /**
     * @param  Builder<Script>  $scripts
     */
    private function fill(string $folder, Builder $scripts): void
    {
        $list = fopen("{$folder}/list.csv", 'w') ?: throw new RuntimeException('The list cannot be written.');
        fwrite($list, "\u{FEFF}".Csv::line(['Script', 'File', 'Kind handed in', 'Words', 'SHA-256 of the file here']));
        foreach ($scripts->whereNull('lead_id')->with(['currentHandin:id,script_id', 'currentHandin.files'])->orderBy('code')->lazy(200) as $script) {
            $files = $script->currentHandin->files ?? [];
            foreach ($files as $file) {
                $as = $script->code.(count($files) > 1 ? "-{$file->position}" : '');
                if ($file->link !== null) {
                    $as .= '.txt';
                    file_put_contents("{$folder}/{$as}", $file->link."\n");
                } elseif ($file->clean_path !== null) {
                    $as .= '.'.($file->clean_kind ?? $file->kind);
                    symlink(Storage::path($file->clean_path), "{$folder}/{$as}");
                } else {
                    continue;
                }
                fwrite($list, Csv::line([$script->code, $as, $file->kind, $file->words, (string) hash_file('sha256', "{$folder}/{$as}")]));
            }
        }
        fclose($list);
    }
}
