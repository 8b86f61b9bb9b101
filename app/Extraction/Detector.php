<?php

declare(strict_types=1);

namespace App\Extraction;

use ZipArchive;

/**
 * Tells what a file is from what it holds, never from its name, and refuses what could harm or cannot be read.
 *
 * Archives are measured before anything unpacks them: a few kilobytes can unpack to gigabytes.
 */
final class Detector
{
    /**
     * @throws Refusal
     */
    public function detect(string $path, string $name): FileKind
    {
        $size = (int) filesize($path);
        if ($size === 0) {
            throw new Refusal('This file is empty (0 bytes). Choose the file again after saving it in your writing program.');
        }
        $head = (string) file_get_contents($path, false, null, 0, 1024);
        $extension = strtolower(pathinfo($name, PATHINFO_EXTENSION));

        return match (true) {
            str_starts_with($head, '%PDF-') => FileKind::Pdf,
            str_starts_with($head, "PK\x03\x04"), str_starts_with($head, "PK\x05\x06") => $this->archive($path),
            str_starts_with($head, "\xD0\xCF\x11\xE0") => throw new Refusal('This is a password-protected Word file or one in the old .doc format; neither can be read here. Remove the password, or save it as .docx, and choose it again.'),
            str_starts_with($head, '{\rtf') => FileKind::Rtf,
            default => $this->text($path, $head, $extension),
        };
    }

    private function archive(string $path): FileKind
    {
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            throw new Refusal('This file is damaged: it begins like a document but cannot be opened. Open it in your writing program, save it again and choose the new copy.');
        }
        try {
            $this->measure($zip, (int) filesize($path));
            if ($zip->locateName('word/document.xml') !== false) {
                return FileKind::Docx;
            }
            if ($zip->getFromName('mimetype', 100) === 'application/vnd.oasis.opendocument.text') {
                if (str_contains((string) $zip->getFromName('META-INF/manifest.xml', 200_000), 'encryption-data')) {
                    throw new Refusal('This OpenDocument file is password-protected. Save it without the password and choose it again.');
                }

                return FileKind::Odt;
            }
        } finally {
            $zip->close();
        }
        throw new Refusal('This is an archive, not a document. Hand in one file: '.FileKind::ALL.'.');
    }

    private function measure(ZipArchive $zip, int $packed): void
    {
        $limit = (int) config('harbor.extraction.unpacked_megabytes') * 1_048_576;
        if ($zip->count() > (int) config('harbor.extraction.entries')) {
            throw new Refusal('This file holds far more parts than a document has. Save it again in your writing program, or as PDF.');
        }
        $unpacked = 0;
        for ($i = 0; $i < $zip->count(); $i++) {
            $stat = $zip->statIndex($i);
            $unpacked += $stat === false ? 0 : $stat['size'];
            // The directory may lie about sizes, so the packed size is a second measure: text packs about ten to one.
            if ($stat !== false && str_ends_with($stat['name'], '.xml') && $stat['size'] > 1_048_576 && $stat['size'] > 120 * max(1, $stat['comp_size'])) {
                throw new Refusal('This file unpacks to far more than a document holds, so it was not opened. Save it again in your writing program, or as PDF.');
            }
        }
        if ($unpacked > $limit || $unpacked > 400 * max(1, $packed)) {
            throw new Refusal('This file unpacks to far more than a document holds, so it was not opened. Save it again in your writing program, or as PDF.');
        }
    }

    private function text(string $path, string $head, string $extension): FileKind
    {
        $type = (string) (new \finfo(FILEINFO_MIME_TYPE))->file($path);
        if (str_starts_with($head, "\xFF\xFE") || str_starts_with($head, "\xFE\xFF")) {
            throw new Refusal('This text is in UTF-16. Save it as UTF-8 and choose it again.');
        }
        if (str_contains($head, "\0") || preg_match('~^(image|audio|video|font)/~', $type) === 1 || str_starts_with($type, 'application/x-')) {
            throw new Refusal('This is not a document that can be read here'.($type === '' ? '' : " (it holds {$type}".($extension === '' ? ')' : ", though it is named .{$extension})")).'. Hand in '.FileKind::ALL.'.');
        }
        if (! mb_check_encoding((string) file_get_contents($path), 'UTF-8')) {
            throw new Refusal('This text is not in UTF-8, so letters with accents would be lost. Save it as UTF-8 and choose it again.');
        }

        return match (true) {
            preg_match('/^\x{FEFF}?\s*(<!doctype html|<html|<\?xml[^>]*\?>\s*<(!doctype html|html))/iu', mb_strcut($head, 0, 1000)) === 1,
            in_array($extension, ['html', 'htm', 'xhtml'], true) => FileKind::Html,
            in_array($extension, ['md', 'markdown'], true) => FileKind::Markdown,
            default => FileKind::Text,
        };
    }
}
