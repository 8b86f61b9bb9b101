<?php

declare(strict_types=1);

namespace App\Extraction;

use DOMAttr;
use DOMDocument;
use DOMElement;
use DOMNode;
use DOMText;
use DOMXPath;
use YoungHarbor\Core\Text\Mask;
use ZipArchive;

/**
 * Takes the author out of a document that is an archive of XML parts (.docx, .odt): properties, authors of comments and
 * tracked changes, headers, footers, links, and the name wherever it stands in the text.
 */
final class CleanArchive
{
    /** Elements that hold a person's name, in any namespace, and what they are for. */
    private const NAMED = [
        'creator' => 'author of the file', 'initial-creator' => 'author of the file', 'lastModifiedBy' => 'last changed by', 'printed-by' => 'last changed by',
        'Company' => 'company', 'Manager' => 'manager', 'creator-initials' => 'authors of comments', 'sender-firstname' => 'author fields', 'sender-lastname' => 'author fields', 'author-name' => 'author fields', 'author-initials' => 'author fields',
    ];

    /** Elements whose text stands together as a line. */
    private const LINES = ['p', 'h', 'title', 'subject', 'keywords', 'keyword', 'description', 'category', 'user-defined', 'lpwstr', 'vt:lpwstr', 'HyperlinkBase'];

    /** Parts that cannot be searched: a document that has them is made anew. */
    private const CLOSED = '~(?:vbaProject\.bin|vbaData\.xml|/embeddings/|/activeX/|/customUI/|^Basic/|^Scripts/|^Object \d|\.(?:bin|ole|exe|dll|js|vbs|docx?|xlsx?|pptx?|zip|pdf|eml|msg|html?)\z)~i';

    /** Parts that may go: small pictures of the first page, signatures with their signer's name, older versions. */
    private const DROPPED = '~^(?:docProps/thumbnail\.\w+|Thumbnails/.*|META-INF/(?:document|macro)signatures\.xml|_xmlsignatures/.*|Versions/.*|VersionList\.xml|Configurations2/.*)\z~i';

    /**
     * @param  list<Mask>  $masks
     * @return string|null null when no clean copy can be made of it
     *
     * @throws Refusal for parts that are made to do harm
     */
    public function clean(string $bytes, FileKind $kind, array $masks, Findings $findings): ?string
    {
        $from = (string) tempnam(sys_get_temp_dir(), 'in');
        $to = (string) tempnam(sys_get_temp_dir(), 'out');
        file_put_contents($from, $bytes);
        $in = new ZipArchive;
        $out = new ZipArchive;
        try {
            if ($in->open($from, ZipArchive::RDONLY) !== true || $out->open($to, ZipArchive::OVERWRITE) !== true) {
                throw new Refusal("This {$kind->label()} is damaged and could not be read. Open it in your writing program, save it again and choose the new copy.");
            }
            $clean = true;
            for ($n = 0; $n < $in->count(); $n++) {
                $name = (string) $in->getNameIndex($n);
                if (str_ends_with($name, '/') || preg_match(self::DROPPED, $name) === 1 || preg_match('~(?:^|/)\.\.(?:/|\z)|^/|\\\\|:~', $name) === 1) {
                    continue;
                }
                $part = (string) $in->getFromIndex($n);
                $whole = $this->part($name, $part, $masks, $findings);
                $clean = $clean && $whole;
                $out->addFromString($name, $part);
                // The kind of an OpenDocument file is read from its first bytes.
                $out->setCompressionName($name, $name === 'mimetype' ? ZipArchive::CM_STORE : ZipArchive::CM_DEFLATE);
                $out->setMtimeName($name, 315532800);
            }
            $out->close();

            return $clean ? (string) file_get_contents($to) : null;
        } finally {
            array_map(unlink(...), array_filter([$from, $to], is_file(...)));
        }
    }

    /**
     * Cleans one part in place.
     *
     * @param  list<Mask>  $masks
     * @return bool false when the part cannot be cleaned
     */
    private function part(string $name, string &$part, array $masks, Findings $findings): bool
    {
        if (preg_match(self::CLOSED, $name) === 1) {
            $findings->add('macros or embedded files', Findings::TAKEN_OUT);

            return false;
        }
        if (preg_match('/\.(xml|rels|rdf)\z/i', $name) === 1) {
            return $this->xml($name, $part, $masks, $findings);
        }
        // A picture may carry who took it, in letters of one byte or of two.
        $start = substr($part, 0, 262_144);
        $plain = mb_scrub(str_replace("\0", ' ', $start)."\n".str_replace("\0", '', $start), 'UTF-8');
        foreach ($masks as $mask) {
            if ($mask->find($plain) !== []) {
                $findings->add('pictures', Findings::TAKEN_OUT);

                return false;
            }
        }

        return true;
    }

    /**
     * @param  list<Mask>  $masks
     */
    private function xml(string $name, string &$part, array $masks, Findings $findings): bool
    {
        if (stripos($part, '<!ENTITY') !== false) {
            throw new Refusal('This document defines entities of its own, as no writing program does, so it was not opened. Save it again in your writing program, or as PDF.');
        }
        $document = new DOMDocument;
        $before = libxml_use_internal_errors(true);
        $loaded = trim($part) !== '' && $document->loadXML($part, LIBXML_NONET | LIBXML_COMPACT);
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        if (! $loaded) {
            return trim($part) === '';
        }
        $this->names($document, $name, $findings);
        $this->text($document, $name, $masks, $findings);
        $this->rest($document, $masks, $findings);
        $part = (string) $document->saveXML();

        return true;
    }

    /** Elements and attributes that are for a name. */
    private function names(DOMDocument $document, string $part, Findings $findings): void
    {
        foreach ($this->elements($document) as $element) {
            $place = self::NAMED[$element->localName] ?? null;
            if ($place !== null && ! ($element->localName === 'creator' && $part === 'content.xml' && $element->childElementCount > 0)) {
                $within = $element->parentNode?->localName;
                $findings->property(match ($within) {
                    'annotation' => 'authors of comments', 'change-info' => 'tracked changes', default => $place,
                }, $element->textContent);
                $element->textContent = '';
            }
            if ($element->localName === 'Relationship' && preg_match('~thumbnail~i', $element->getAttribute('Target')) === 1) {
                $element->parentNode?->removeChild($element);
            }
            if ($element->localName === 'file-entry' && preg_match(self::DROPPED, $element->getAttributeNS('urn:oasis:names:tc:opendocument:xmlns:manifest:1.0', 'full-path')) === 1) {
                $element->parentNode?->removeChild($element);
            }
            foreach (iterator_to_array($element->attributes) as $attribute) {
                if (in_array($attribute->localName, ['author', 'initials', 'userId', 'providerId'], true)) {
                    $attribute->localName === 'author' && $findings->property(in_array($element->localName, ['comment', 'person'], true) ? 'authors of comments' : 'tracked changes', $attribute->value);
                    $attribute->value = $attribute->localName === 'author' ? 'Author' : '';
                }
            }
        }
    }

    /**
     * Lines of text, and fields that name the author.
     *
     * @param  list<Mask>  $masks
     */
    private function text(DOMDocument $document, string $part, array $masks, Findings $findings): void
    {
        $marginal = preg_match('~(?:header|footer)\d*\.xml\z|styles\.xml\z~', $part) === 1;
        $place = match (true) {
            $marginal => 'headers and footers',
            str_starts_with($part, 'docProps/') || $part === 'meta.xml' => 'properties of the file',
            str_contains($part, 'comments') => 'comments',
            str_contains($part, 'customXml') => 'properties of the file',
            default => 'text',
        };
        $lines = array_values(array_filter($this->elements($document), fn (DOMElement $element) => in_array($element->localName, self::LINES, true)));
        $last = count($lines) - 4;
        foreach ($lines as $n => $line) {
            $texts = $this->texts($line);
            foreach ($masks as $mask) {
                $times = Cleaner::maskLine($texts, $mask, $marginal || ($place === 'text' && ($n < 8 || $n >= $last)));
                // What stands in the text itself is counted where markers read it.
                $place !== 'text' && $findings->add($place, $place === 'properties of the file' ? Findings::TAKEN_OUT : Findings::HIDDEN, $times);
            }
        }
    }

    /**
     * All that is left: other text and the values of attributes, such as the addresses of links.
     *
     * @param  list<Mask>  $masks
     */
    private function rest(DOMDocument $document, array $masks, Findings $findings): void
    {
        $nodes = (new DOMXPath($document))->query('//text() | //@* | //comment()');
        foreach ($nodes === false ? [] : iterator_to_array($nodes) as $node) {
            $value = (string) $node->nodeValue;
            $local = $node instanceof DOMAttr && preg_match('~^file:|^[A-Z]:\\\\~i', $value) === 1;
            foreach ($masks as $mask) {
                if ($local || $mask->find($value) !== [] || $mask->find(rawurldecode($value)) !== []) {
                    $mask->find(rawurldecode($value)) !== [] && $findings->add($node instanceof DOMAttr ? 'links and attributes' : 'properties of the file', Findings::TAKEN_OUT);
                    $node->nodeValue = $node instanceof DOMAttr ? 'about:blank' : Mask::SHOWN;
                    break;
                }
            }
        }
    }

    /**
     * @return list<DOMText> of a line, but not those of lines inside it, as in a text box
     */
    private function texts(DOMNode $line): array
    {
        $texts = [];
        foreach ($line->childNodes as $child) {
            if ($child instanceof DOMText) {
                $texts[] = $child;
            } elseif (! in_array($child->localName, ['p', 'h'], true)) {
                array_push($texts, ...$this->texts($child));
            }
        }

        return $texts;
    }

    /**
     * @return list<DOMElement>
     */
    private function elements(DOMDocument $document): array
    {
        return iterator_to_array($document->getElementsByTagName('*'), false);
    }
}
