<?php

declare(strict_types=1);

namespace App\Extraction\Pages;

use App\Extraction\Child;
use App\Extraction\Refusal;
use XMLReader;

/**
 * The words of a PDF's pages with their boxes, line by line, as pdftotext finds them.
 */
final class PageText
{
    public function __construct(private readonly Child $child)
    {
    }

    /**
     * @return list<list<list<Box>>> by page, the lines from top to bottom
     *
     * @throws Refusal
     */
    public function of(string $path, int $from, int $to): array
    {
        $read = $this->child->run(
            [
                'pdftotext', '-q', '-enc', 'UTF-8', '-bbox-layout', '-cropbox', '-f', (string) $from, '-l',
                (string) $to, '--', $path, '-',
            ],
            limitAddressSpace: true, reads: [$path],
        );
        $reader = XMLReader::XML(
            (string) preg_replace(['/<!DOCTYPE[^>]*>/', '/[\x00-\x08\x0B\x0C\x0E-\x1F]/'], '', mb_scrub($read['out'])),
            'UTF-8', LIBXML_NONET | LIBXML_COMPACT | LIBXML_NOERROR | LIBXML_NOWARNING,
        );
        $pages = [];
        $box = null;
        while ($reader instanceof XMLReader && @$reader->read()) {
            if ($reader->nodeType === XMLReader::ELEMENT) {
                match ($reader->localName) {
                    'page' => $pages[] = [],
                    'line' => $pages !== [] && $pages[count($pages) - 1][] = [],
                    'word' => $box = array_map(
                        fn (string $side) => (float) $reader->getAttribute($side), ['xMin', 'yMin', 'xMax', 'yMax'],
                    ),
                    default => null,
                };
            } elseif ($reader->nodeType === XMLReader::TEXT && $box !== null && $pages !== []) {
                $page = count($pages) - 1;
                $pages[$page][max(0, count($pages[$page]) - 1)][] = new Box(trim($reader->value), ...$box);
                $box = null;
            }
        }
        $lines = array_map(
            fn (array $page) => array_values(array_filter($page, fn (array $line) => $line !== [])), $pages,
        );

        return array_map(function (array $page): array {
            usort(
                $page, fn (array $a, array $b) => [round($a[0]->top), $a[0]->left] <=> [round($b[0]->top), $b[0]->left],
            );

            return $page;
        }, [...$lines, ...array_fill(0, max(0, $to - $from + 1 - count($lines)), [])]);
    }
}
