<?php

declare(strict_types=1);

namespace App\Extraction;

use DOMDocument;
use DOMNode;
use DOMText;
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

        // Pictures that were made anew stand in the page itself; none is loaded from anywhere.
        $config = $config->allowElement('img', ['src', 'alt'])->allowMediaSchemes(['data'])->allowRelativeMedias(false);

        return trim((string) preg_replace('~<img(?![^>]*\bsrc="data:image/(?:png|jpeg);base64,)[^>]*>~', '', (new HtmlSanitizer($config))->sanitize($html)));
    }

    /**
     * Hides the author's name in the text of clean HTML, also where markup stands inside the name. The first and the
     * last few lines may name the author by one name alone, as a title page does.
     */
    public function mask(string $html, Mask $mask, int &$times): string
    {
        $document = $this->parse($html);
        $body = $document->getElementsByTagName('body')->item(0);
        if ($body === null) {
            return '';
        }
        $lines = [[]];
        $this->lines($body, $lines);
        $lines = array_values(array_filter($lines, fn (array $line) => trim(implode('', array_map(fn (DOMText $text) => $text->data, $line))) !== ''));
        foreach ($lines as $n => $line) {
            $times += self::maskLine($line, $mask, $n < 8 || $n >= count($lines) - 4);
        }
        $out = '';
        foreach ($body->childNodes as $child) {
            $out .= $document->saveHTML($child);
        }

        return $out;
    }

    /**
     * Masks a name in a line of text nodes: what stands for it goes into the first of them.
     *
     * @param  list<DOMText>  $line
     * @return int how many were found
     */
    public static function maskLine(array $line, Mask $mask, bool $nameLine = false): int
    {
        $texts = array_map(fn (DOMText $text) => $text->data, $line);
        $found = self::found(implode('', $texts), $mask, $nameLine);
        foreach (array_reverse($found) as [$from, $to]) {
            $at = 0;
            $shown = Mask::SHOWN;
            foreach ($texts as $n => $text) {
                $length = strlen($text);
                if ($at < $to && $at + $length > $from) {
                    $start = max(0, $from - $at);
                    $texts[$n] = substr_replace($text, $shown, $start, min($length, $to - $at) - $start);
                    $shown = '';
                }
                $at += $length;
            }
        }
        foreach ($found === [] ? [] : $line as $n => $text) {
            $text->data = $texts[$n];
        }

        return count($found);
    }

    /**
     * Where a paragraph names the author. One that was read line by line, as of a PDF, is looked at line by line at its
     * head and foot too.
     *
     * @return list<array{int, int}>
     */
    private static function found(string $text, Mask $mask, bool $nameLine): array
    {
        $found = $mask->find($text);
        if (! $nameLine) {
            return $found;
        }
        $lines = explode("\n", $text);
        $at = 0;
        foreach ($lines as $n => $line) {
            foreach ($n < 8 || $n >= count($lines) - 4 ? $mask->find($line, true) : [] as [$from, $to]) {
                if (array_filter($found, fn (array $other) => $other[0] < $at + $to && $other[1] > $at + $from) === []) {
                    $found[] = [$at + $from, $at + $to];
                }
            }
            $at += strlen($line) + 1;
        }
        sort($found);

        return $found;
    }

    /**
     * @param  non-empty-list<list<DOMText>>  $lines
     */
    private function lines(DOMNode $node, array &$lines): void
    {
        foreach ($node->childNodes as $child) {
            if ($child instanceof DOMText) {
                $lines[count($lines) - 1][] = $child;

                continue;
            }
            $parts = $child->nodeName === 'br' || in_array($child->nodeName, self::BLOCKS, true);
            if ($parts) {
                $lines[] = [];
            }
            $this->lines($child, $lines);
            if ($parts) {
                $lines[] = [];
            }
        }
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
            // A quotation set as a block stays one.
            $node->nodeName === 'blockquote' => "\n\n".implode("\n\n", array_map(fn (string $paragraph) => '> '.trim($paragraph), array_filter(preg_split('/\n\s*\n/u', $text) ?: [], fn (string $paragraph) => trim($paragraph) !== '')))."\n\n",
            in_array($node->nodeName, self::BLOCKS, true) => "\n\n".$text."\n\n",
            default => $text,
        };
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
