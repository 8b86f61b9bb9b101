<?php

declare(strict_types=1);

namespace App\Documents;

use Closure;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use RuntimeException;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\Process\Process;

/**
 * A folder given out as a ZIP while it is packed, so that many files need neither memory nor a second copy on disk.
 * Links in the folder lead to files elsewhere.
 */
final class StreamedZip
{
    /**
     * @param  Closure(string): void  $fill  puts files into the folder it is given
     * @param  bool  $isPacked  whether what is in it is packed already, and stored as it is
     */
    public function of(string $name, Closure $fill, bool $isPacked): StreamedResponse
    {
        return new StreamedResponse(function () use ($fill, $isPacked): void {
            $folder = sys_get_temp_dir().'/'.Str::uuid()->toString();
            mkdir($folder, 0700);
            try {
                $fill($folder);
                $this->send($folder, $isPacked);
            } finally {
                File::deleteDirectory($folder);
            }
        }, 200, ['Content-Type' => 'application/zip', 'Content-Disposition' => 'attachment; filename="'.$name.'"']);
    }

    private function send(string $folder, bool $isPacked): void
    {
        $how = $isPacked ? ['-0'] : [];
        $process = new Process(
            ['zip', '-q', ...$how, '-X', '-D', '-r', '-', '.'], $folder, ['TZ' => 'UTC'], timeout: 3600,
        );
        $exit = $process->run(function (string $type, string $piece) use ($process): void {
            if ($type === Process::OUT) {
                echo $piece;
                flush();
                $process->clearOutput();
            }
        });
        $exit === 0 || throw new RuntimeException('The ZIP could not be made: '.$process->getErrorOutput());
    }
}
