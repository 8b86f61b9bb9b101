<?php

declare(strict_types=1);

namespace App\Extraction;

use DOMDocument;
use DOMElement;
use DOMNode;
use DOMText;
use DOMXPath;
use ZipArchive;

/**
 * Words that a file holds and its reader does not see: white letters on a white ground, letters too small to read,
 * letters marked as hidden; and pages that are pictures. What stands there is told with its words; why, nobody can tell
 * from it.
 */
final class HiddenText
{
    public const WHITE = 'white letters';

    public const TINY = 'tiny letters';

    public const UNSEEN = 'hidden letters';

    public const PICTURE = 'a page without text';

    /** Letters up to this size cannot be read, in points. */
    private const TINIEST = 4.0;

    /** Of each file so many findings are kept. */
    private const MOST = 50;

    public function __construct(private readonly Child $child)
    {
    }

    /**
     * @return list<array{kind: string, words?: string, note?: string}>
     */
    public function in(string $path, FileKind $kind): array
    {
        $found = match ($kind) {
            FileKind::Docx => $this->docx($path),
            FileKind::Odt => $this->odt($path),
            FileKind::Html => $this->html((string) file_get_contents($path)),
            FileKind::Pdf => $this->pdf($path),
            // Nothing in these can be there and not be seen, or the reader keeps it as words.
            FileKind::Text, FileKind::Markdown, FileKind::Rtf, FileKind::Link, FileKind::Posts, FileKind::Slot => [],
        };
        $told = [];
        foreach ($found as [$what, $words]) {
            $words = mb_substr(trim((string) preg_replace('/\s+/u', ' ', $words)), 0, 2000);
            if ($words !== '' && count($told) < self::MOST) {
                $told[] = ['kind' => $what, 'words' => $words];
            }
        }

        return $told;
    }

    /**
     * @return list<array{string, string}>
     */
    private function docx(string $path): array
    {
        $document = $this->part($path, 'word/document.xml');
        if ($document === null) {
            return [];
        }
        $styles = $this->wordStyles($this->part($path, 'word/styles.xml'));
        $found = [];
        foreach ($this->all($document, 'p') as $paragraph) {
            $before = null;
            foreach ($this->all($paragraph, 'r') as $run) {
                $what = $this->wordRun($run, $paragraph, $styles);
                $text = implode('', array_map(fn (DOMElement $t) => $t->textContent, $this->all($run, 't')));
                $before = $this->grown($found, $before, $what, $text);
            }
        }

        return $found;
    }

    /**
     * @param  array<string, array<string, string>>  $styles
     */
    private function wordRun(DOMElement $run, DOMElement $paragraph, array $styles): ?string
    {
        $of = [
            ...($styles[$this->value($paragraph, 'pStyle')] ?? []), ...($styles[$this->value($run, 'rStyle')] ?? []),
            ...$this->wordProperties($run),
        ];
        if (isset($of['vanish'])) {
            return self::UNSEEN;
        }
        $shaded = isset($of['ground']);
        $node = $paragraph;
        while (! $shaded && $node instanceof DOMElement && $node->localName !== 'body') {
            foreach ($node->childNodes as $child) {
                $shaded = $shaded
                    || (
                        $child instanceof DOMElement && in_array($child->localName, ['pPr', 'tcPr', 'tblPr'], true)
                        && $this->isGround($this->attribute($this->all($child, 'shd')[0] ?? null, 'fill'))
                    );
            }
            $node = $node->parentNode;
        }

        return $this->read($of['color'] ?? null, isset($of['size']) ? (float) $of['size'] / 2 : null, $shaded);
    }

    /**
     * @return array<string, string>
     */
    private function wordProperties(DOMElement $element): array
    {
        $properties = null;
        foreach ($element->childNodes as $child) {
            $properties = $child instanceof DOMElement && $child->localName === 'rPr' ? $child : $properties;
        }
        $of = [];
        foreach ($properties === null ? [] : $properties->childNodes as $property) {
            if (! $property instanceof DOMElement) {
                continue;
            }
            $value = $this->attribute($property, 'val');
            match ($property->localName) {
                'color' => $of['color'] = '#'.$value,
                'sz' => $of['size'] = $value,
                'vanish' => in_array($value, ['0', 'false'], true) ?: $of['vanish'] = '1',
                'highlight' => in_array($value, ['none', 'white'], true) ?: $of['ground'] = '1',
                'shd' => $this->isGround($this->attribute($property, 'fill')) ? $of['ground'] = '1' : null,
                default => null,
            };
        }

        return $of;
    }

    /**
     * @return array<string, array<string, string>> what each style says of letters, with what it is based on
     */
    private function wordStyles(?DOMDocument $document): array
    {
        $own = $based = [];
        foreach ($document === null ? [] : $this->all($document, 'style') as $style) {
            $id = $this->attribute($style, 'styleId');
            $own[$id] = $this->wordProperties($style);
            $based[$id] = $this->value($style, 'basedOn');
        }

        return $this->inherited($own, $based);
    }

    /**
     * @return list<array{string, string}>
     */
    private function odt(string $path): array
    {
        $content = $this->part($path, 'content.xml');
        if ($content === null) {
            return [];
        }
        $own = $based = [];
        foreach ([$this->part($path, 'styles.xml'), $content] as $document) {
            foreach ($document === null ? [] : $this->all($document, 'style') as $style) {
                $id = $this->attribute($style, 'name');
                $based[$id] = $this->attribute($style, 'parent-style-name');
                $own[$id] = [];
                foreach ($this->all($style, 'text-properties') as $property) {
                    $own[$id] = array_filter(
                        [
                            'color' => $this->attribute($property, 'color'),
                            'points' => $this->attribute($property, 'font-size'),
                            'vanish' => $this->attribute($property, 'display') === 'none' ? '1' : '',
                            'ground' => $this->isGround(ltrim($this->attribute($property, 'background-color'), '#'))
                                ? '1'
                                : '',
                        ]
                    );
                }
                foreach (
                    [
                        ...$this->all($style, 'paragraph-properties'), ...$this->all($style, 'table-cell-properties'),
                    ] as $property
                ) {
                    $this->isGround(ltrim($this->attribute($property, 'background-color'), '#'))
                        && $own[$id]['ground'] = '1';
                }
            }
        }
        $styles = $this->inherited($own, $based);
        $found = [];
        $this->walk(
            $content->documentElement, [], null, $found,
            fn (DOMElement $element): array => $styles[$this->attribute($element, 'style-name')] ?? [],
        );

        return $found;
    }

    /**
     * @return list<array{string, string}>
     */
    private function html(string $html): array
    {
        $document = new DOMDocument;
        $before = libxml_use_internal_errors(true);
        $document->loadHTML('<?xml encoding="UTF-8">'.$html, LIBXML_NONET | LIBXML_COMPACT);
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        $rules = [];
        foreach ($this->all($document, 'style') as $sheet) {
            preg_match_all('/([^{}]+)\{([^{}]*)\}/', $sheet->textContent, $found, PREG_SET_ORDER);
            foreach ($found as [, $selectors, $declared]) {
                foreach (explode(',', $selectors) as $selector) {
                    $rules[strtolower(trim($selector))] = $declared;
                }
            }
        }
        $found = [];
        $body = $document->getElementsByTagName('body')->item(0);
        if ($body !== null) {
            $this->walk($body, [], null, $found, function (DOMElement $element) use ($rules): array {
                $name = strtolower($element->nodeName);
                $declared = $rules[$name] ?? '';
                foreach (preg_split('/\s+/', strtolower($element->getAttribute('class'))) ?: [] as $class) {
                    $declared .= ';'.($rules[".{$class}"] ?? '').';'.($rules["{$name}.{$class}"] ?? '');
                }
                $id = strtolower($element->getAttribute('id'));

                return $this->declared(
                    $declared.';'.($rules["#{$id}"] ?? '').';'.$element->getAttribute('style').(
                        $element->hasAttribute('color') ? ';color:'.$element->getAttribute('color') : ''
                    )
                );
            });
        }

        return $found;
    }

    /**
     * What a list of CSS declarations says of letters.
     *
     * @return array<string, string>
     */
    private function declared(string $css): array
    {
        $of = [];
        foreach (explode(';', strtolower($css)) as $declaration) {
            [$property, $value] = array_map(trim(...), [...explode(':', $declaration, 2), '']);
            match (true) {
                $property === 'color' => $of['color'] = $value,
                $property === 'font-size' => $of['points'] = $value,
                in_array($property, ['background', 'background-color'], true)
                    && $this->isGround(ltrim($value, '#')) => $of['ground'] = '1',
                $property === 'display' && $value === 'none', $property === 'visibility' && $value === 'hidden',
                $property === 'opacity' && (float) $value <= 0.05 && $value !== '' => $of['vanish'] = '1',
                default => null,
            };
        }

        return $of;
    }

    /**
     * @return list<array{string, string}>
     */
    private function pdf(string $path): array
    {
        try {
            $result = $this->child->run(
                ['pdftohtml', '-xml', '-i', '-q', '-stdout', '-zoom', '1', '--', $path], limitAddressSpace: true,
                reads: [$path],
            );
        } catch (Refusal) { // its text could be read; how it looks could not
            return [];
        }
        $document = new DOMDocument;
        if (
            $result['exit'] !== 0
            || ! @$document->loadXML(
                (string) preg_replace('/<!DOCTYPE[^>]*>/', '', mb_scrub($result['out'])),
                LIBXML_NONET | LIBXML_COMPACT | LIBXML_PARSEHUGE,
            )
        ) {
            return [];
        }
        $fonts = [];
        foreach ($this->all($document, 'fontspec') as $font) {
            $fonts[$font->getAttribute('id')] = $this->read(
                $font->getAttribute('color'), (float) $font->getAttribute('size'), false,
            );
        }
        $found = [];
        $before = null;
        foreach ($this->all($document, 'text') as $text) {
            $before = $this->grown(
                $found, $before, $fonts[$text->getAttribute('font')] ?? null, $text->textContent.' ',
            );
        }

        return $found;
    }

    /**
     * Walks text with what holds of it, from the outside in.
     *
     * @param  array<string, string>  $of
     * @param  list<array{string, string}>  $found
     * @param  callable(DOMElement): array<string, string>  $properties
     */
    private function walk(?DOMNode $node, array $of, ?string $before, array &$found, callable $properties): ?string
    {
        if ($node instanceof DOMText) {
            return $this->grown(
                $found, $before,
                isset($of['vanish'])
                    ? self::UNSEEN
                    : $this->read($of['color'] ?? null, $this->points($of['points'] ?? null), isset($of['ground'])),
                $node->data,
            );
        }
        if (
            ! $node instanceof DOMElement
            || in_array(
                strtolower((string) $node->localName),
                ['script', 'style', 'head', 'automatic-styles', 'tracked-changes', 'annotation'], true,
            )
        ) {
            return $before;
        }
        $of = [...$of, ...$properties($node)];
        foreach ($node->childNodes as $child) {
            $before = $this->walk($child, $of, $before, $found, $properties);
        }

        return in_array($node->localName, ['p', 'h', 'div', 'li', 'td', 'h1', 'h2', 'h3'], true) ? null : $before;
    }

    /**
     * Puts text to what was found before it when that is of the same kind.
     *
     * @param  list<array{string, string}>  $found
     */
    private function grown(array &$found, ?string $before, ?string $what, string $text): ?string
    {
        if ($text === '') {
            return $before;
        }
        if ($what !== null) {
            $last = $before === $what ? array_pop($found) : null;
            $found[] = [$what, ($last[1] ?? '').$text];
        }

        return $what;
    }

    private function read(?string $color, ?float $points, bool $ground): ?string
    {
        return match (true) {
            $points !== null && $points > -1 && $points <= self::TINIEST => self::TINY,
            $color !== null && ! $ground && $this->isWhite($color) => self::WHITE,
            default => null,
        };
    }

    private function isWhite(string $color): bool
    {
        $color = strtolower(trim($color));
        if (in_array($color, ['white', '#fff', 'transparent'], true)) {
            return true;
        }
        if (preg_match('/\A#([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})\z/', $color, $hex) === 1) {
            return min(hexdec($hex[1]), hexdec($hex[2]), hexdec($hex[3])) >= 240;
        }

        return preg_match('/\Argba?\(\s*(\d+)\D+(\d+)\D+(\d+)/', $color, $rgb) === 1
            && min((int) $rgb[1], (int) $rgb[2], (int) $rgb[3]) >= 240;
    }

    /** Whether a fill is a ground on which white letters can be read. */
    private function isGround(string $fill): bool
    {
        return ! in_array(strtolower($fill), ['', 'auto', 'none', 'transparent', 'inherit', 'initial'], true)
            && ! $this->isWhite(preg_match('/\A[0-9a-f]{3,6}\z/i', $fill) === 1 ? "#{$fill}" : $fill);
    }

    private function points(?string $size): ?float
    {
        if ($size === null || preg_match('/\A([\d.]+)\s*(pt|px|em|rem|%|in|cm|mm)?\z/i', trim($size), $found) !== 1) {
            return null;
        }

        return (float) $found[1] * [
            'pt' => 1.0, 'px' => 0.75, 'em' => 12.0, 'rem' => 12.0, '%' => 0.12, 'in' => 72.0, 'cm' => 28.35,
            'mm' => 2.835,
        ][strtolower($found[2] ?? 'px')];
    }

    /**
     * @param  array<string, array<string, string>>  $own
     * @param  array<string, string>  $based
     * @return array<string, array<string, string>>
     */
    private function inherited(array $own, array $based): array
    {
        $all = [];
        foreach (array_keys($own) as $id) {
            $of = [];
            $seen = [];
            for ($at = $id; isset($own[$at]) && ! isset($seen[$at]); $at = $based[$at]) {
                $seen[$at] = true;
                $of += $own[$at];
            }
            $all[$id] = $of;
        }

        return $all;
    }

    private function part(string $path, string $name): ?DOMDocument
    {
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            return null;
        }
        $xml = $zip->getFromName($name);
        $zip->close();
        $document = new DOMDocument;

        return is_string($xml) && @$document->loadXML($xml, LIBXML_NONET | LIBXML_COMPACT | LIBXML_PARSEHUGE)
            ? $document
            : null;
    }

    /**
     * @return list<DOMElement>
     */
    private function all(DOMDocument|DOMElement $in, string $name): array
    {
        $document = $in instanceof DOMDocument ? $in : $in->ownerDocument;
        $found = $document === null
            ? false
            : (new DOMXPath($document))->query(
                ".//*[local-name()='{$name}']", $in instanceof DOMDocument ? $document->documentElement : $in,
            );
        $elements = [];
        foreach ($found === false ? [] : $found as $node) {
            $node instanceof DOMElement && $elements[] = $node;
        }

        return $elements;
    }

    private function value(DOMElement $in, string $name): string
    {
        return $this->attribute($this->all($in, $name)[0] ?? null, 'val');
    }

    private function attribute(?DOMElement $element, string $name): string
    {
        foreach ($element === null ? [] : $element->attributes as $attribute) {
            if ($attribute->localName === $name) {
                return (string) $attribute->nodeValue;
            }
        }

        return '';
    }
}
