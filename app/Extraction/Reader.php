<?php

declare(strict_types=1);

namespace App\Extraction;

use LogicException;
use YoungHarbor\Core\Document\Document;
use YoungHarbor\Core\Text\Words;
use ZipArchive;

/**
 * Reads a handed-in file: tells its kind, and makes of it a tree of what a document may hold. Names are masked later,
 * when it is known whose it is.
 */
final class Reader
{
    public function __construct(
        private readonly Detector $detector,
        private readonly Child $child,
        private readonly HtmlTree $tree,
        private readonly HiddenText $hiddenText,
        private readonly Pictures $pictures,
        private readonly FrozenPosts $posts,
    ) {
    }

    /**
     * @throws Refusal with the reason and what would be taken
     */
    public function read(string $path, string $name): ExtractedFile
    {
        return $this->readAs($this->detector->detect($path, $name), $path, $name);
    }

    /** Tells the kind of a file, and refuses what is seen at once to be unreadable, without reading it. */
    public function kind(string $path, string $name): FileKind
    {
        return $this->detector->detect($path, $name);
    }

    /**
     * Reads a file whose kind was told before.
     *
     * @throws Refusal
     */
    public function readAs(FileKind $kind, string $path, string $name): ExtractedFile
    {
        $document = match ($kind) {
            FileKind::Text => Document::ofText((string) file_get_contents($path)),
            FileKind::Pdf => Document::ofText($pdf = $this->pdf($path)),
            FileKind::Rtf => $this->rtf($path),
            FileKind::Odt => $this->odt($path),
            FileKind::Markdown, FileKind::Docx, FileKind::Html => $this->pandoc($path, $kind),
            FileKind::Posts => $this->posts->read((string) file_get_contents($path)),
            FileKind::Link, FileKind::Slot => throw new LogicException('There is nothing in it that could be read.'),
        };
        $notes = isset($pdf) ? $this->emptyPages($pdf) : [];
        $hidden = [
            ...array_map(fn (string $note) => ['kind' => HiddenText::PICTURE, 'note' => $note], $notes),
            ...$this->hiddenText->in($path, $kind),
        ];
        if (array_filter($hidden, fn (array $one) => isset($one['words'])) !== []) {
            $notes[] = 'Some words in this file cannot be seen: they are white, far too small or marked as hidden. Markers are told. If that is not what you meant, choose all of your text, make it black and of one size, and hand in again.';
        }
        $extension = strtolower(pathinfo($name, PATHINFO_EXTENSION));
        if (! $kind->goesAs($extension)) {
            $notes[] = "It is named .{$extension} but holds {$kind->label()}; it was read as that.";
        }

        return $this->finished($kind, $document, $notes, $hidden);
    }

    /**
     * @param  list<string>  $notes
     * @param  list<array{kind: string, words?: string, note?: string}>  $hidden
     */
    private function finished(FileKind $kind, Document $document, array $notes, array $hidden): ExtractedFile
    {
        $most = (int) config('harbor.extraction.paragraphs');
        if (($paragraphs = $document->paragraphs()) > $most) {
            throw Refusal::ofParagraphs($paragraphs, $most);
        }
        $words = Words::of($document->text())->count();
        if ($words === 0) {
            throw new Refusal($kind === FileKind::Pdf
                ? 'The pages of this PDF hold no text, only pictures (as after scanning), so it can be neither read by markers as text nor screened. Export the PDF from your writing program instead of scanning it.'
                : 'There are no words in this file. Open it to see whether it is the right one, and choose it again.');
        }
        if ($words > (int) config('harbor.extraction.words')) {
            throw new Refusal(
                'This file holds '.number_format($words).' words; at most '
                    .number_format((int) config('harbor.extraction.words'))
                    .' are read. Hand in the text alone, without attachments or data.'
            );
        }

        return new ExtractedFile($kind, $document, $words, $notes, $hidden);
    }

    private function pandoc(string $path, FileKind $kind): Document
    {
        $result = $this->asHtml($path, (string) $kind->pandocFormat(), $kind);
        if ($result['exit'] !== 0 && $kind === FileKind::Markdown) { // what looks like front matter is none
            $result = $this->asHtml($path, $kind->pandocFormat().'-yaml_metadata_block', $kind);
        }
        if ($result['exit'] !== 0) {
            throw new Refusal(
                "This {$kind->label()} is damaged and could not be read. Open it in your writing program, save it again and choose the new copy."
            );
        }

        return $this->tree->read($result['out'], $this->pictures->of($path, $kind));
    }

    /**
     * @return array{exit: int, out: string, error: string}
     */
    private function asHtml(string $path, string $format, FileKind $kind): array
    {
        $memory = (int) config('harbor.extraction.memory_megabytes');
        $template = resource_path('extraction/document.html');
        // A title page in the styles for it is no part of the body: the template puts it before.
        $whole = in_array($kind, [FileKind::Docx, FileKind::Odt, FileKind::Markdown], true)
            ? ['--standalone', "--template={$template}"]
            : [];

        return $this->child->run(
            [
                'pandoc', '+RTS', "-M{$memory}m", '-RTS', '--sandbox', "--from={$format}", '--to=html', '--wrap=none',
                '--no-highlight', ...$whole, '--', $path,
            ],
            limitAddressSpace: false, reads: [$path, $template],
        );
    }

    /** Pandoc reads no rows that an OpenDocument table repeats on each page: they are made rows like others first. */
    private function odt(string $path): Document
    {
        return $this->changed($path, function (string $copy): Document {
            $zip = new ZipArchive;
            $content = $zip->open($copy) === true ? (string) $zip->getFromName('content.xml') : '';
            if (str_contains($content, 'table-header-rows')) {
                $zip->addFromString(
                    'content.xml', (string) preg_replace('~</?table:table-header-rows\s*>~', '', $content),
                );
            }
            $content === '' || $zip->close();

            return $this->pandoc($copy, FileKind::Odt);
        });
    }

    private function rtf(string $path): Document
    {
        return $this->changed($path, function (string $copy): Document {
            file_put_contents($copy, RtfText::plainUnicode((string) file_get_contents($copy)));

            return $this->pandoc($copy, FileKind::Rtf);
        });
    }

    /**
     * Reads a copy of a file, which may be changed first.
     *
     * @param  callable(string): Document  $read
     */
    private function changed(string $path, callable $read): Document
    {
        $copy = (string) tempnam(sys_get_temp_dir(), 'read');
        try {
            copy($path, $copy);

            return $read($copy);
        } finally {
            unlink($copy);
        }
    }

    private function pdf(string $path): string
    {
        $result = $this->child->run(
            ['pdftotext', '-q', '-enc', 'UTF-8', '--', $path, '-'], limitAddressSpace: true, reads: [$path],
        );
        if ($result['exit'] !== 0) {
            $probe = $this->child->run(['pdfinfo', '--', $path], limitAddressSpace: true, reads: [$path]);
            throw new Refusal(stripos($probe['error'], 'password') !== false
                ? 'This PDF is password-protected. Save it without the password and choose it again.'
                : 'This PDF is damaged and could not be read. Export it again from your writing program and choose the new copy.');
        }

        return $result['out'];
    }

    /**
     * Pages that hold nothing to read, such as scanned ones among others.
     *
     * @return list<string>
     */
    private function emptyPages(string $text): array
    {
        // Each page ends with a form feed, the last one too.
        $pages = explode("\f", str_ends_with($text, "\f") ? substr($text, 0, -1) : $text);
        $empty = array_map(
            fn (int $n) => $n + 1,
            array_keys(array_filter($pages, fn (string $page) => preg_match('/\p{L}/u', $page) !== 1)),
        );
        if ($empty === [] || count($pages) === count($empty)) {
            return [];
        }
        $named = implode(', ', array_slice($empty, 0, 12)).(count($empty) > 12 ? ' …' : '');

        return [
            (
                count($empty) === 1
                    ? "Page {$named} of ".count($pages).' holds'
                    : "Pages {$named} of ".count($pages).' hold'
            )
                .' no text, only pictures or nothing. What stands there as a picture is not read as text: if it is writing, export the PDF from your writing program instead of scanning it.',
        ];
    }
}
