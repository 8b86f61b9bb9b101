<?php

declare(strict_types=1);

namespace App\Extraction;

use App\Support\Pdf;
use RuntimeException;
use YoungHarbor\Core\Text\Mask;

/**
 * Makes the copy of a hand-in that staff may have: in its own format, without what the file says of its author.
 *
 * Each copy is searched before it is kept. When anything is still found, or the file holds parts that cannot be
 * searched (macros, embedded files), the copy is made anew from the masked text, which holds nothing else.
 */
final class CleanCopy
{
    private const MOST_SET = 120_000;

    public function __construct(
        private readonly CleanArchive $archive,
        private readonly CleanPdf $pdf,
        private readonly Pdf $printer,
        private readonly Child $child,
        private readonly Cleaner $cleaner,
    ) {
    }

    /**
     * @param  string  $html  as markers read it: sanitised and masked
     * @param  list<Mask>  $masks  of all its authors
     * @return array{string, FileKind} the copy, and what kind of file it is
     *
     * @throws Refusal
     */
    public function of(string $bytes, FileKind $kind, string $html, array $masks, Findings $findings): array
    {
        return match ($kind) {
            FileKind::Docx, FileKind::Odt => [$this->archive->clean($bytes, $kind, $masks, $findings) ?? $this->made($html, $kind), $kind],
            FileKind::Pdf => $this->pages($this->pdf->clean($bytes, $masks, $findings), $html),
            FileKind::Rtf => $this->rtf($bytes, $html, $masks, $findings),
            FileKind::Html => $this->html($bytes, $html, $masks, $findings),
            FileKind::Markdown => [$this->markdown($bytes, $masks, $findings) ?? $this->cleaner->plain($html), $kind],
            FileKind::Text, FileKind::Link => [$this->cleaner->plain($html)."\n", $kind],
        };
    }

    /**
     * @return array{string, FileKind}
     */
    private function pages(?string $clean, string $html): array
    {
        return match (true) {
            $clean !== null => [$clean, FileKind::Pdf],
            // Pages of a whole book would take minutes to set.
            strlen($html) > self::MOST_SET => [$this->page($html), FileKind::Html],
            default => [$this->printer->ofHtml($this->page($html)), FileKind::Pdf],
        };
    }

    /**
     * @param  list<Mask>  $masks
     * @return array{string, FileKind}
     */
    private function rtf(string $bytes, string $html, array $masks, Findings $findings): array
    {
        // RTF 1.9: people are named in the information group, the table of revisers and the heads of comments.
        foreach (['author' => 'author of the file', 'operator' => 'last changed by', 'manager' => 'manager', 'company' => 'company', 'atnauthor' => 'authors of comments', 'atnid' => 'authors of comments'] as $word => $place) {
            preg_match_all('/\{(?:\\\\\*)?\\\\'.$word.'(?![a-z])\s?([^{}]*)\}/', $bytes, $values);
            array_map(fn (string $value) => $findings->property($place, self::letters($value)), $values[1]);
        }
        if (preg_match('/\{\\\\\*\\\\revtbl\s*((?:\{[^{}]*\}\s*)+)\}/', $bytes, $table) === 1) {
            preg_match_all('/\{([^{}]*)\}/', $table[1], $names);
            array_map(fn (string $name) => $findings->property('tracked changes', rtrim(self::letters($name), '; ')), $names[1]);
        }
        preg_match_all('/\{\\\\(?:header|footer)[lrf]?(?![a-z])((?:[^{}]|\{(?:[^{}]|\{[^{}]*\})*\})*)\}/', $bytes, $heads);
        foreach ($heads[1] as $head) {
            $findings->add('headers and footers', Findings::TAKEN_OUT, Mask::count($masks, mb_scrub(self::letters($head))));
        }

        return [$this->made($html, FileKind::Rtf), FileKind::Rtf];
    }

    /** The letters of a piece of RTF: escapes for other alphabets read, groups and control words left out. */
    private static function letters(string $rtf): string
    {
        $text = preg_replace_callback('/\\\\u(-?\d+) ?(?:\\\\\'[0-9a-f]{2}|\?)?/i', fn (array $m) => mb_chr(((int) $m[1] + 65536) % 65536) ?: '', $rtf) ?? $rtf;
        $text = preg_replace_callback('/\\\\\'([0-9a-f]{2})/i', fn (array $m) => mb_convert_encoding(chr((int) hexdec($m[1])), 'UTF-8', 'Windows-1252'), $text) ?? $text;

        return trim(strtr(preg_replace('/\\\\[a-z]+-?\d* ?/i', '', mb_scrub($text)) ?? '', ['{' => '', '}' => '']));
    }

    /**
     * @param  list<Mask>  $masks
     * @return array{string, FileKind}
     */
    private function html(string $bytes, string $html, array $masks, Findings $findings): array
    {
        preg_match_all('/<meta\b[^>]*\bname\s*=\s*["\']?(?:dcterms\.|dc\.)?(author|creator|publisher|generator-user|copyright|owner)\b[^>]*>/i', $bytes, $metas);
        foreach ($metas[0] as $meta) {
            $findings->property('author of the file', preg_match('/\bcontent\s*=\s*("[^"]*"|\'[^\']*\'|[^\s>]+)/i', $meta, $value) === 1 ? html_entity_decode(trim($value[1], '"\'')) : '');
        }
        preg_match_all('/<!--.*?-->/s', $bytes, $comments);
        $findings->add('comments in the page', Findings::TAKEN_OUT, Mask::count($masks, mb_scrub(implode("\n", $comments[0]))));
        preg_match_all('/<title\b[^>]*>(.*?)<\/title>/is', $bytes, $titles);
        $findings->add('title of the page', Findings::TAKEN_OUT, Mask::count($masks, mb_scrub(html_entity_decode(implode("\n", $titles[1])))));
        preg_match_all('/\s(?:href|src|alt|title|content|data-[a-z-]+)\s*=\s*("[^"]*"|\'[^\']*\')/i', preg_replace('/<meta\b[^>]*>/i', '', $bytes) ?? '', $values);
        $findings->add('links and attributes', Findings::TAKEN_OUT, Mask::count($masks, mb_scrub(rawurldecode(html_entity_decode(implode("\n", $values[1]))))));

        return [$this->page($html), FileKind::Html];
    }

    /**
     * @param  list<Mask>  $masks
     */
    private function markdown(string $bytes, array $masks, Findings $findings): ?string
    {
        $text = $bytes;
        if (preg_match('/\A\x{FEFF}?---\s*\n(.*?)\n(?:---|\.\.\.)\s*\n/su', $text, $front) === 1) {
            $findings->add('front matter', Findings::TAKEN_OUT, max(Mask::count($masks, mb_scrub($front[1])), (int) preg_match('/^(?:author|by|name)s?\s*:\s*\S/mi', $front[1])));
            $text = substr($text, strlen($front[0]));
        }
        preg_match_all('/<!--.*?-->/s', $text, $comments);
        $findings->add('comments in the page', Findings::TAKEN_OUT, Mask::count($masks, mb_scrub(implode("\n", $comments[0]))));
        $text = preg_replace('/<!--.*?-->/s', '', $text) ?? $text;
        $lines = explode("\n", $text);
        foreach ($masks as $mask) {
            foreach ($lines as $n => $line) {
                $times = 0;
                $lines[$n] = $mask->hide($line, $times, $n < 12 || $n >= count($lines) - 6);
            }
        }
        $text = implode("\n", $lines);

        return Mask::count($masks, mb_scrub($text)) > 0 ? null : $text;
    }

    /** A document made from the text as markers read it. */
    private function made(string $html, FileKind $kind): string
    {
        $from = (string) tempnam(sys_get_temp_dir(), 'clean');
        $to = "{$from}.{$kind->value}";
        try {
            file_put_contents($from, $html);
            // Not in the sandbox, where it cannot read its own template; the text is ours, sanitised, and includes nothing.
            $made = $this->child->run(['pandoc', '--standalone', '--metadata=title: ', '--from=html', '--to='.$kind->value, '-o', $to, '--', $from], limitAddressSpace: false);
            if ($made['exit'] !== 0 || ! is_file($to)) {
                throw new RuntimeException("The copy for staff could not be made: {$made['error']}");
            }

            return (string) file_get_contents($to);
        } finally {
            array_map(unlink(...), array_filter([$from, $to], is_file(...)));
        }
    }

    private function page(string $html): string
    {
        return '<!DOCTYPE html><html lang="en"><head><meta charset="utf-8"><title>Script</title></head><body>'.$html."</body></html>\n";
    }
}
