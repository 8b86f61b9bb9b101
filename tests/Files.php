<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Http\UploadedFile;
use RuntimeException;
use Symfony\Component\Process\Process;
use ZipArchive;

/**
 * Makes files to hand in: good ones of every format, and bad ones of many kinds.
 */
final class Files
{
    public static function upload(string $bytes, string $name): UploadedFile
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'upload');
        file_put_contents($path, $bytes);

        return new UploadedFile($path, $name, null, null, true);
    }

    /** A document made by pandoc: docx, odt, rtf, html. */
    public static function document(string $text, string $format): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'made').'.'.$format;
        $process = new Process(
            ['pandoc', '--standalone', '--metadata=title: ', '--from=markdown', '-o', $path], null, null, $text,
        );
        $process->mustRun();

        return (string) file_get_contents($path);
    }

    /** A one-page PDF with lines of text; none gives a page like a scan, without any. */
    public static function pdf(string ...$lines): string
    {
        return self::pdfOf(
            '/F1 11 Tf 60 780 Td 14 TL '.implode(
                '', array_map(fn (string $line) => '('.addcslashes($line, '()\\').") Tj T*\n", $lines),
            )
        );
    }

    /** A PDF of pages, each as the operators that set its text. */
    public static function pdfOf(string ...$pages): string
    {
        $count = count($pages);
        $objects = [
            '<< /Type /Catalog /Pages 2 0 R >>',
            '<< /Type /Pages /Kids ['.implode(
                ' ', array_map(fn (int $n) => (4 + 2 * $n).' 0 R', array_keys(array_values($pages))),
            )."] /Count {$count} >>",
            '<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica >>',
        ];
        foreach (array_values($pages) as $n => $page) {
            $content = "BT {$page}\nET";
            $objects[] = '<< /Type /Page /Parent 2 0 R /MediaBox [0 0 595 842] /Contents '.(5 + 2 * $n)
                .' 0 R /Resources << /Font << /F1 3 0 R >> >> >>';
            $objects[] = '<< /Length '.strlen($content).">>\nstream\n{$content}\nendstream";
        }
        $pdf = "%PDF-1.4\n";
        $offsets = [];
        foreach ($objects as $n => $object) {
            $offsets[] = strlen($pdf);
            $pdf .= ($n + 1)." 0 obj\n{$object}\nendobj\n";
        }
        $start = strlen($pdf);
        $size = count($objects) + 1;
        $pdf .= "xref\n0 {$size}\n0000000000 65535 f \n".implode(
            '', array_map(fn (int $at) => sprintf("%010d 00000 n \n", $at), $offsets),
        );

        return $pdf."trailer << /Size {$size} /Root 1 0 R >>\nstartxref\n{$start}\n%%EOF";
    }

    /**
     * @param  array<string, string>  $entries
     */
    public static function zip(array $entries): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'zip');
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::OVERWRITE) !== true) {
            throw new RuntimeException('no zip');
        }
        foreach ($entries as $name => $bytes) {
            $zip->addFromString($name, $bytes);
        }
        $zip->close();

        return (string) file_get_contents($path);
    }
}
