<?php

declare(strict_types=1);

namespace App\Extraction;

use YoungHarbor\Core\Text\Words;

/**
 * Reads a handed-in file: tells its kind, takes out its text, makes it safe to show.
 */
final class Reader
{
    public function __construct(
        private readonly Detector $detector,
        private readonly Child $child,
        private readonly Cleaner $cleaner,
        private readonly HiddenText $hiddenText,
        private readonly Pictures $pictures,
    ) {
    }

    /**
     * @throws Refusal with the reason and what would be taken
     */
    public function read(string $path, string $name): Extracted
    {
        $kind = $this->detector->detect($path, $name);
        $html = match ($kind) {
            FileKind::Text => $this->paragraphs((string) file_get_contents($path)),
            FileKind::Pdf => $this->paragraphs($pdf = $this->pdf($path)),
            FileKind::Rtf => $this->rtf($path),
            default => $this->pandoc($path, $kind),
        };
        $notes = isset($pdf) ? $this->emptyPages($pdf) : [];
        $hidden = [...array_map(fn (string $note) => ['kind' => HiddenText::PICTURE, 'note' => $note], $notes), ...$this->hiddenText->in($path, $kind)];
        if (array_filter($hidden, fn (array $one) => isset($one['words'])) !== []) {
            $notes[] = 'Some words in this file cannot be seen: they are white, far too small or marked as hidden. Markers are told. If that is not what you meant, choose all of your text, make it black and of one size, and hand in again.';
        }
        $extension = strtolower(pathinfo($name, PATHINFO_EXTENSION));
        if (! $kind->goesAs($extension)) {
            $notes[] = "It is named .{$extension} but holds {$kind->label()}; it was read as that.";
        }

        return $this->finished($kind, $this->cleaner->clean($html), $notes, $hidden);
    }

    /** Text that was typed into the page. */
    public function typed(string $text): Extracted
    {
        return $this->finished(FileKind::Text, $this->cleaner->clean($this->paragraphs($text)), [], []);
    }

    /**
     * @param  list<string>  $notes
     * @param  list<array{kind: string, words?: string, note?: string}>  $hidden
     */
    private function finished(FileKind $kind, string $html, array $notes, array $hidden): Extracted
    {
        $text = $this->cleaner->plain($html);
        $words = Words::of($text)->count();
        if ($words === 0) {
            throw new Refusal($kind === FileKind::Pdf
                ? 'The pages of this PDF hold no text, only pictures (as after scanning), so it can be neither read by markers as text nor screened. Export the PDF from your writing program instead of scanning it.'
                : 'There are no words in this file. Open it to see whether it is the right one, and choose it again.');
        }
        if ($words > (int) config('harbor.extraction.words')) {
            throw new Refusal('This file holds '.number_format($words).' words; at most '.number_format((int) config('harbor.extraction.words')).' are read. Hand in the text alone, without attachments or data.');
        }

        return new Extracted($kind, $html, $text, $words, $notes, $hidden);
    }

    private function pandoc(string $path, FileKind $kind): string
    {
        $memory = (int) config('harbor.extraction.memory_megabytes');
        // A title page in the styles for it is no part of the body: the template puts it before.
        $whole = in_array($kind, [FileKind::Docx, FileKind::Odt, FileKind::Markdown], true) ? ['--standalone', '--template='.resource_path('extraction/document.html')] : [];
        $run = fn (string ...$more): array => $this->child->run(['pandoc', '+RTS', "-M{$memory}m", '-RTS', '--sandbox', '--from='.$kind->pandocFormat(), '--to=html', '--wrap=none', '--no-highlight', ...$whole, ...$more, '--', $path], limitAddressSpace: false);
        if (in_array($kind, [FileKind::Docx, FileKind::Odt], true) && $this->pictures->areIn($path)) {
            try {
                $result = $run('--self-contained');
            } catch (Refusal) { // the pictures are too much: the words alone may not be
                $result = null;
            }
        }
        $result = isset($result) && $result['exit'] === 0 ? $result : $run();
        if ($result['exit'] !== 0) {
            throw new Refusal("This {$kind->label()} is damaged and could not be read. Open it in your writing program, save it again and choose the new copy.");
        }

        return $this->pictures->slim($result['out']);
    }

    private function rtf(string $path): string
    {
        $readable = (string) tempnam(sys_get_temp_dir(), 'rtf');
        try {
            file_put_contents($readable, RtfText::plainUnicode((string) file_get_contents($path)));

            return $this->pandoc($readable, FileKind::Rtf);
        } finally {
            unlink($readable);
        }
    }

    private function pdf(string $path): string
    {
        $result = $this->child->run(['pdftotext', '-q', '-enc', 'UTF-8', '--', $path, '-'], limitAddressSpace: true);
        if ($result['exit'] !== 0) {
            $probe = $this->child->run(['pdfinfo', '--', $path], limitAddressSpace: true);
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
        $empty = array_map(fn (int $n) => $n + 1, array_keys(array_filter($pages, fn (string $page) => preg_match('/\p{L}/u', $page) !== 1)));
        if ($empty === [] || count($pages) === count($empty)) {
            return [];
        }
        $named = implode(', ', array_slice($empty, 0, 12)).(count($empty) > 12 ? ' …' : '');

        return [(count($empty) === 1 ? "Page {$named} of ".count($pages).' holds' : "Pages {$named} of ".count($pages).' hold').' no text, only pictures or nothing. What stands there as a picture is not read as text: if it is writing, export the PDF from your writing program instead of scanning it.'];
    }

    private function paragraphs(string $text): string
    {
        $text = preg_replace('/\A\x{FEFF}/u', '', str_replace(["\r\n", "\r", "\f"], ["\n", "\n", "\n\n"], $text)) ?? '';
        // A hyphen at a line's end joins the two parts of a word.
        $text = preg_replace('/(?<=\p{Ll})[-‐]\n(?=\p{Ll})/u', '', $text) ?? $text;
        $paragraphs = preg_split('/\n[ \t]*\n+/', $text) ?: [];

        return implode("\n", array_map(
            fn (string $paragraph) => '<p>'.htmlspecialchars(trim($paragraph), ENT_QUOTES | ENT_SUBSTITUTE, 'UTF-8').'</p>',
            array_filter($paragraphs, fn (string $paragraph) => trim($paragraph) !== ''),
        ));
    }
}
