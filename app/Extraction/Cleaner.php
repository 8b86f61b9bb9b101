<?php

declare(strict_types=1);

namespace App\Extraction;

use DOMDocument;
use DOMNode;
use Symfony\Component\HtmlSanitizer\HtmlSanitizer;
use Symfony\Component\HtmlSanitizer\HtmlSanitizerConfig;
use YoungHarbor\Core\Text\Mask;

/**
 * Makes extracted HTML safe to show: text and its structure stay, everything that runs, loads or links goes.
 */
final class Cleaner
{
    private const BLOCKS = ['p', 'div', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'li', 'blockquote', 'pre', 'tr', 'td', 'th', 'table', 'ul', 'ol', 'dl', 'dt', 'dd', 'section', 'figure', 'figcaption', 'hr'];

    public function clean(string $html): string
    {
        $config = (new HtmlSanitizerConfig)->withMaxInputLength(-1);
        foreach (['p', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'blockquote', 'pre', 'ul', 'ol', 'li', 'dl', 'dt', 'dd', 'table', 'thead', 'tbody', 'tr', 'td', 'th', 'caption', 'em', 'strong', 'b', 'i', 'u', 's', 'sub', 'sup', 'code', 'br', 'hr', 'q', 'cite'] as $element) {
            $config = $config->allowElement($element, in_array($element, ['td', 'th'], true) ? ['colspan', 'rowspan'] : []);
        }
        foreach (['div', 'section', 'article', 'main', 'span', 'a', 'font', 'center', 'figure', 'figcaption', 'header', 'footer', 'aside', 'body', 'small', 'mark', 'ins', 'del', 'address'] as $element) {
            $config = $config->blockElement($element);
        }

        return trim((new HtmlSanitizer($config))->sanitize($html));
    }

    /** Hides the author's name in the text of clean HTML. */
    public function mask(string $html, Mask $mask, int &$times): string
    {
        $document = $this->parse($html);
        foreach ($this->texts($document) as $node) {
            $node->nodeValue = $mask->hide((string) $node->nodeValue, $times);
        }
        $body = $document->getElementsByTagName('body')->item(0);
        $out = '';
        foreach ($body->childNodes ?? [] as $child) {
            $out .= $document->saveHTML($child);
        }

        return $out;
    }

    /** The words of clean HTML as paragraphs parted by empty lines. */
    public function plain(string $html): string
    {
        $body = $this->parse($html)->getElementsByTagName('body')->item(0);
        $text = $body === null ? '' : $this->textOf($body);
        $paragraphs = preg_split('/\n\s*\n/u', $text) ?: [];
        $clean = array_map(fn (string $paragraph) => trim((string) preg_replace('/[ \t\n\r]+/', ' ', $paragraph)), $paragraphs);

        return implode("\n\n", array_filter($clean, fn (string $paragraph) => $paragraph !== ''));
    }

    private function textOf(DOMNode $node): string
    {
        if ($node->nodeType === XML_TEXT_NODE) {
            return (string) $node->nodeValue;
        }
        $text = '';
        foreach ($node->childNodes as $child) {
            $text .= $this->textOf($child);
        }

        return match (true) {
            $node->nodeName === 'br' => "\n",
            in_array($node->nodeName, self::BLOCKS, true) => "\n\n".$text."\n\n",
            default => $text,
        };
    }

    /**
     * @return list<DOMNode>
     */
    private function texts(DOMNode $node): array
    {
        if ($node->nodeType === XML_TEXT_NODE) {
            return [$node];
        }
        $texts = [];
        foreach ($node->childNodes as $child) {
            array_push($texts, ...$this->texts($child));
        }

        return $texts;
    }

    private function parse(string $html): DOMDocument
    {
        $document = new DOMDocument;
        $before = libxml_use_internal_errors(true);
        $document->loadHTML('<?xml encoding="UTF-8"><html><body>'.$html.'</body></html>', LIBXML_NONET | LIBXML_COMPACT);
        libxml_clear_errors();
        libxml_use_internal_errors($before);

        return $document;
    }
}
