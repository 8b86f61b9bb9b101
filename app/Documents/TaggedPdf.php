<?php

declare(strict_types=1);

namespace App\Documents;

use App\Extraction\Cage;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Str;
use Symfony\Component\Process\Exception\ExceptionInterface;
use Symfony\Component\Process\ExecutableFinder;
use Symfony\Component\Process\Process;

/**
 * A page as a tagged PDF, which a screen reader reads in order: drawn by headless Chromium, caged, without a network.
 */
final class TaggedPdf
{
    private const SECONDS = 40;

    private const PROGRAMS = ['chromium-headless-shell', 'chromium'];

    /**
     * @param  string  $html  a whole page that names nothing outside itself
     * @return string|null null where Chromium is not installed, or failed
     */
    public function ofHtml(string $html): ?string
    {
        $program = self::program();
        if ($program === null) {
            return null;
        }
        $folder = storage_path('framework/cache/pdf-'.Str::uuid());
        File::makeDirectory($folder, 0700, true);
        try {
            File::put("{$folder}/page.html", $html);
            $process = new Process([
                ...Cage::before([], $folder), $program, '--headless', '--no-sandbox', '--disable-gpu', '--disable-quic',
                '--disable-background-networking', '--no-first-run', '--no-pdf-header-footer',
                '--host-resolver-rules=MAP * ~NOTFOUND', "--user-data-dir={$folder}/user",
                "--print-to-pdf={$folder}/out.pdf", "file://{$folder}/page.html",
            ], $folder, ['HOME' => $folder], null, self::SECONDS);
            $process->run();
            $pdf = File::exists("{$folder}/out.pdf") ? File::get("{$folder}/out.pdf") : '';
            if (! str_starts_with($pdf, '%PDF-')) {
                Log::warning('Chromium drew no PDF.', ['said' => Str::limit($process->getErrorOutput(), 500)]);

                return null;
            }

            return $pdf;
        } catch (ExceptionInterface $e) {
            Log::warning('Chromium drew no PDF.', ['why' => $e->getMessage()]);

            return null;
        } finally {
            File::deleteDirectory($folder);
        }
    }

    public static function program(): ?string
    {
        if (! config('harbor.tagged_pdf')) {
            return null;
        }
        foreach (self::PROGRAMS as $program) {
            if ((new ExecutableFinder)->find($program) !== null) {
                return $program;
            }
        }

        return null;
    }
}
