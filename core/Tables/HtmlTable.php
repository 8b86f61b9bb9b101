<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Tables;

use DOMDocument;
use DOMElement;
use DOMNode;

/**
 * The words of the first table in a piece of HTML, as word processors and spreadsheets put it on the clipboard. Only
 * text is taken: no element, attribute, script or address of the HTML goes any further.
 */
final class HtmlTable
{
    private const WIDEST_SPAN = 50;

    /**
     * @return list<list<string>> empty when there is no table
     */
    public static function rows(string $html): array
    {
        $document = new DOMDocument;
        if (
            trim($html) === ''
            || ! $document->loadHTML(
                '<?xml encoding="UTF-8">'.$html, LIBXML_NONET | LIBXML_NOERROR | LIBXML_NOWARNING | LIBXML_COMPACT,
            )
        ) {
            return [];
        }
        $table = $document->getElementsByTagName('table')->item(0);
        $rows = [];
        $held = []; // columns that a cell of an earlier row reaches down into
        foreach ($table?->getElementsByTagName('tr') ?? [] as $tr) {
            $row = [];
            foreach ($tr->childNodes as $cell) {
                if (! $cell instanceof DOMElement || ! in_array($cell->nodeName, ['td', 'th'], true)) {
                    continue;
                }
                while (($held[count($row)] ?? 0) > 0) {
                    $held[count($row)]--;
                    $row[] = '';
                }
                $down = min(self::WIDEST_SPAN, max(1, (int) $cell->getAttribute('rowspan')));
                $across = min(self::WIDEST_SPAN, max(1, (int) $cell->getAttribute('colspan')));
                for ($i = 0; $i < $across; $i++) {
                    $held[count($row)] = $down - 1;
                    $row[] = $i === 0 ? self::words($cell) : '';
                }
            }
            if (trim(implode('', $row)) !== '') {
                $rows[] = $row;
            }
        }

        return $rows;
    }

    private static function words(DOMNode $node): string
    {
        $text = '';
        foreach ($node->childNodes as $child) {
            if ($child->nodeType === XML_TEXT_NODE) {
                $text .= preg_replace('/[\s\x{00A0}]+/u', ' ', $child->nodeValue ?? '');
            } elseif ($child->nodeName === 'br') {
                $text .= "\n";
            } elseif (! in_array($child->nodeName, ['script', 'style'], true)) {
                $isBlock = in_array($child->nodeName, ['p', 'div', 'li', 'ul', 'ol'], true);
                $text .= ($isBlock ? "\n" : '').self::words($child).($isBlock ? "\n" : '');
            }
        }

        return trim(preg_replace('/ *\n[\n ]*/', "\n", $text) ?? $text);
    }
}
