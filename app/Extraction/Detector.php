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
            throw new Refusal(
                'This file is empty (0 bytes). Choose the file again after saving it in your writing program.'
            );
        }
        $head = (string) file_get_contents($path, false, null, 0, 1024);
        $extension = strtolower(pathinfo($name, PATHINFO_EXTENSION));

        return match (true) {
            str_starts_with($head, '%PDF-') => FileKind::Pdf,
            str_starts_with($head, "PK\x03\x04"), str_starts_with($head, "PK\x05\x06") => $this->archive($path),
            str_starts_with($head, "\xD0\xCF\x11\xE0") => throw new Refusal(
                'This is a password-protected Word file or one in the old .doc format; neither can be read here. Remove the password, or save it as .docx, and choose it again.'
            ),
            str_starts_with($head, '{\rtf') => $this->rtf($path),
            default => $this->text($path, $head, $extension),
        };
    }

    private function rtf(string $path): FileKind
    {
        $this->refuseMany((int) preg_match_all('/\\\\(?:par|cell)(?![a-z])/', (string) file_get_contents($path)));

        return FileKind::Rtf;
    }

    private function archive(string $path): FileKind
    {
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            throw new Refusal(
                'This file is damaged: it begins like a document but cannot be opened. Open it in your writing program, save it again and choose the new copy.'
            );
        }
        try {
            $this->measure($zip, (int) filesize($path));
            $this->refuseEntities($zip);
            if ($zip->locateName('word/document.xml') !== false) {
                $this->count($zip, 'word/document.xml', '/<w:p[\s>\/]/');

                return FileKind::Docx;
            }
            if ($zip->getFromName('mimetype', 100) === 'application/vnd.oasis.opendocument.text') {
                if (str_contains((string) $zip->getFromName('META-INF/manifest.xml', 200_000), 'encryption-data')) {
                    throw new Refusal(
                        'This OpenDocument file is password-protected. Save it without the password and choose it again.'
                    );
                }

                $this->count($zip, 'content.xml', '/<text:[ph][\s>\/]/');

                return FileKind::Odt;
            }
        } finally {
            $zip->close();
        }
        throw new Refusal('This is an archive, not a document. Hand in one file: '.FileKind::documentsInWords().'.');
    }

    private function measure(ZipArchive $zip, int $packed): void
    {
        $limit = (int) config('harbor.extraction.unpacked_megabytes') * 1_048_576;
        if ($zip->count() > (int) config('harbor.extraction.entries')) {
            throw new Refusal(
                'This file holds far more parts than a document has. Save it again in your writing program, or as PDF.'
            );
        }
        $unpacked = 0;
        for ($i = 0; $i < $zip->count(); $i++) {
            $stat = $zip->statIndex($i);
            $unpacked += $stat === false ? 0 : $stat['size'];
            // The directory may lie about sizes, so the packed size is a second measure: text packs about ten to one.
            if (
                $stat !== false && str_ends_with($stat['name'], '.xml') && $stat['size'] > 1_048_576
                && $stat['size'] > 120 * max(1, $stat['comp_size'])
            ) {
                throw new Refusal(
                    'This file unpacks to far more than a document holds, so it was not opened. Save it again in your writing program, or as PDF.'
                );
            }
        }
        if ($unpacked > $limit || $unpacked > 400 * max(1, $packed)) {
            throw new Refusal(
                'This file unpacks to far more than a document holds, so it was not opened. Save it again in your writing program, or as PDF.'
            );
        }
    }

    /**
     * @throws Refusal
     */
    private function count(ZipArchive $zip, string $name, string $pattern): void
    {
        $paragraphs = 0;
        foreach ($this->pieces($zip, $name) as $piece) {
            $paragraphs += (int) preg_match_all($pattern, $piece);
        }
        $this->refuseMany($paragraphs);
    }

    /**
     * @throws Refusal for parts that define entities: no writing program does, and a few lines of them unfold to gigabytes
     */
    private function refuseEntities(ZipArchive $zip): void
    {
        for ($i = 0; $i < $zip->count(); $i++) {
            $name = (string) $zip->getNameIndex($i);
            foreach (preg_match('/\.(?:xml|rels|rdf)\z/i', $name) === 1 ? $this->pieces($zip, $name) : [] as $piece) {
                if (stripos(str_replace("\0", '', $piece), '<!ENTITY') !== false) {
                    throw new Refusal(
                        'This document defines entities of its own, as no writing program does, so it was not opened. Save it again in your writing program, or as PDF.'
                    );
                }
            }
        }
    }

    /**
     * A part in pieces that overlap by a tag's length.
     *
     * @return iterable<string>
     */
    private function pieces(ZipArchive $zip, string $name): iterable
    {
        $stream = $zip->getStream($name);
        $end = '';
        while ($stream !== false && ! feof($stream)) {
            $piece = (string) fread($stream, 262_144);
            // The end of a piece, from its last "<" on, belongs to the next.
            $whole = $end.$piece;
            $cut = strrpos($whole, '<');
            $cut = $cut === false || $cut === 0 || feof($stream) ? strlen($whole) : $cut;
            yield substr($whole, 0, $cut);
            $end = substr($whole, $cut);
        }
        $end === '' || yield $end;
    }

    /**
     * @throws Refusal for lines of quotations within quotations that a reader would take minutes for
     */
    private function refuseNesting(string $text): void
    {
        if (preg_match('/^(?:[ \t]{0,3}>){100}|^(?:[ \t]*[-*+][ \t]){100}/m', $text) === 1) {
            throw Refusal::ofDepth();
        }
    }

    private function text(string $path, string $head, string $extension): FileKind
    {
        $type = (string) (new \finfo(FILEINFO_MIME_TYPE))->file($path);
        if (str_starts_with($head, "\xFF\xFE") || str_starts_with($head, "\xFE\xFF")) {
            throw new Refusal('This text is in UTF-16. Save it as UTF-8 and choose it again.');
        }
        if (
            str_contains($head, "\0") || preg_match('~^(image|audio|video|font)/~', $type) === 1
            || str_starts_with($type, 'application/x-')
        ) {
            throw new Refusal(
                'This is not a document that can be read here'.(
                    $type === ''
                        ? ''
                        : " (it holds {$type}".($extension === '' ? ')' : ", though it is named .{$extension})"
                        )
                ).'. Hand in '.FileKind::documentsInWords().'.');
        }
        $text = (string) file_get_contents($path);
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw new Refusal(
                'This text is not in UTF-8, so letters with accents would be lost. Save it as UTF-8 and choose it again.'
            );
        }
        $kind = match (true) {
            preg_match(
                '/^\x{FEFF}?\s*(<!doctype html|<html|<\?xml[^>]*\?>\s*<(!doctype html|html))/iu',
                mb_strcut($head, 0, 1000),
            ) === 1,
            in_array($extension, ['html', 'htm', 'xhtml'], true) => FileKind::Html,
            in_array($extension, ['md', 'markdown'], true) => FileKind::Markdown,
            default => FileKind::Text,
        };
        $kind === FileKind::Markdown && $this->refuseNesting($text);
        $kind === FileKind::Html
            && $this->refuseMany(
                (int) preg_match_all('/<(?:p|li|td|th|h[1-6]|dt|dd|tr|div|blockquote)[\s>\/]/i', $text)
            );

        return $kind;
    }

    /**
     * A reader's time and memory grow faster than the number of paragraphs: far too many are refused before one begins.
     *
     * @throws Refusal
     */
    private function refuseMany(int $paragraphs): void
    {
        $most = (int) config('harbor.extraction.paragraphs');
        if ($paragraphs > $most) {
            throw Refusal::ofParagraphs($paragraphs, $most);
        }
    }
}
