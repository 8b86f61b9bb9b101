<?php

declare(strict_types=1);

namespace App\Extraction;

use YoungHarbor\Core\Text\Mask;

/**
 * Takes the author out of a PDF: its pages are put into a new file, which leaves the document's information, its XMP
 * metadata, attached files and scripts behind; notes on the pages become part of the page. The name where it stands on
 * a page cannot be taken out so: then there is no clean copy of the pages.
 */
final class CleanPdf
{
    public function __construct(private readonly Child $child)
    {
    }

    /**
     * @param  list<Mask>  $masks
     * @return string|null null when the pages themselves name the author
     */
    public function clean(string $bytes, array $masks, Findings $findings): ?string
    {
        $from = (string) tempnam(sys_get_temp_dir(), 'in').'.pdf';
        $to = (string) tempnam(sys_get_temp_dir(), 'out').'.pdf';
        file_put_contents($from, $bytes);
        try {
            $this->look($from, $masks, $findings);
            $made = $this->child->run(['qpdf', '--empty', '--warning-exit-0', '--flatten-annotations=all', '--remove-unreferenced-resources=yes', '--deterministic-id', '--pages', $from, '1-z', '--', $to], limitAddressSpace: true);
            if ($made['exit'] !== 0 || ! is_file($to)) {
                return null;
            }
            $text = $this->child->run(['pdftotext', '-q', '-enc', 'UTF-8', '--', $to, '-'], limitAddressSpace: true)['out'];
            $rest = $this->child->run(['qpdf', '--json=2', '--json-key=qpdf', '--json-stream-data=none', '--warning-exit-0', $to], limitAddressSpace: true)['out'];
            foreach ($masks as $mask) {
                if ($mask->find(mb_scrub($text)) !== [] || $mask->find(mb_scrub($this->strings($rest))) !== []) {
                    return null;
                }
                foreach ($this->nameLines($text) as $line) {
                    if ($mask->find($line, true) !== []) {
                        return null;
                    }
                }
            }

            return (string) file_get_contents($to);
        } finally {
            array_map(unlink(...), array_filter([$from, $to, substr($from, 0, -4), substr($to, 0, -4)], is_file(...)));
        }
    }

    /**
     * What the file says of its author besides its pages.
     *
     * @param  list<Mask>  $masks
     */
    private function look(string $path, array $masks, Findings $findings): void
    {
        $info = mb_scrub($this->child->run(['pdfinfo', '-enc', 'UTF-8', '--', $path], limitAddressSpace: true)['out']);
        foreach (['Author' => 'author of the file', 'Company' => 'company', 'Manager' => 'manager'] as $key => $place) {
            $findings->property($place, preg_match("/^{$key}:\\s*(.+)$/m", $info, $value) === 1 ? $value[1] : '');
        }
        $findings->add('PDF information', Findings::TAKEN_OUT, Mask::count($masks, mb_scrub((string) preg_replace('/^(?:Author|Company|Manager):.*$/m', '', $info))));
        $xmp = mb_scrub($this->child->run(['pdfinfo', '-meta', '-enc', 'UTF-8', '--', $path], limitAddressSpace: true)['out']);
        $creator = preg_match('~<dc:creator>(.*?)</dc:creator>~s', $xmp, $value) === 1 ? trim(html_entity_decode(strip_tags($value[1]))) : '';
        $findings->property('PDF metadata (XMP)', $creator);
        if ($creator === '') {
            $findings->add('PDF metadata (XMP)', Findings::TAKEN_OUT, min(1, Mask::count($masks, mb_scrub(html_entity_decode($xmp)))));
        }
        $json = json_decode($this->child->run(['qpdf', '--json=2', '--json-key=qpdf', '--json-stream-data=none', '--warning-exit-0', $path], limitAddressSpace: true)['out'], true);
        foreach (is_array($json) && is_array($json['qpdf'][1] ?? null) ? $json['qpdf'][1] : [] as $object) {
            $value = is_array($object) ? $object['value'] ?? $object['stream']['dict'] ?? null : null;
            if (is_array($value) && ($value['/Type'] ?? null) === '/Filespec') {
                $findings->add('macros or embedded files', Findings::TAKEN_OUT);
            }
            if (is_array($value) && isset($value['/T']) && is_string($value['/T']) && in_array($value['/Subtype'] ?? null, ['/Text', '/FreeText', '/Highlight', '/Underline', '/StrikeOut', '/Squiggly', '/Ink', '/Stamp', '/Caret', '/Popup', '/Square', '/Circle', '/Line'], true)) {
                $findings->property('authors of comments', (string) preg_replace('/^[ub]:/', '', $value['/T']));
            }
        }
    }

    /** The strings of qpdf's JSON; names of objects and keys are left out. */
    private function strings(string $json): string
    {
        preg_match_all('/"u:((?:[^"\\\\]|\\\\.)*)"/', $json, $strings);

        return implode("\n", array_map(fn (string $string) => (string) json_decode('"'.$string.'"'), $strings[1]));
    }

    /**
     * @return list<string>
     */
    private function nameLines(string $text): array
    {
        $lines = array_values(array_filter(array_map(trim(...), preg_split('/\R|\f/u', mb_scrub($text)) ?: []), fn (string $line) => $line !== ''));

        return [...array_slice($lines, 0, 8), ...array_slice($lines, -4)];
    }
}
