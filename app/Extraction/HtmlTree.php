<?php

declare(strict_types=1);

namespace App\Extraction;

use DOMDocument;
use DOMElement;
use DOMNode;
use DOMText;
use YoungHarbor\Core\Document\Document;
use YoungHarbor\Core\Document\Node;
use YoungHarbor\Core\Document\NodeKind;
use YoungHarbor\Core\Document\Picture;

/**
 * Reads HTML into the tree of what is allowed: what has a place there is made anew, what only groups other things gives
 * its content, and everything else is not there. Nothing is loaded.
 */
final class HtmlTree
{
    /** Elements that only group others. */
    private const GROUPS = [
        'html', 'body', 'div', 'section', 'article', 'main', 'span', 'font', 'center', 'figure', 'figcaption',
        'header', 'footer', 'aside', 'small', 'mark', 'ins', 'del', 'address', 'tfoot', 'big', 'tt', 'abbr', 'time',
        'nav',
    ];

    /** What libxml reads of nested elements before it gives up. */
    private const TOO_DEEP = 'depth';

    /**
     * @param  bool  $ours  whether what is read was written here; what comes from outside has nowhere to put words that
     *                      are not counted
     */
    public function __construct(private readonly bool $ours = false)
    {
    }

    /**
     * @param  callable(string): (Picture|null)  $picture  asked for what the source of a picture names
     *
     * @throws Refusal for elements nested deeper than any text has them
     */
    public function read(string $html, callable $picture): Document
    {
        $document = new DOMDocument;
        $before = libxml_use_internal_errors(true);
        $document->loadHTML(
            '<?xml encoding="UTF-8"><html><body>'.$html.'</body></html>', LIBXML_NONET | LIBXML_COMPACT,
        );
        $deep = array_filter(
            libxml_get_errors(),
            fn (\LibXMLError $error) => $error->level === LIBXML_ERR_FATAL
                && stripos($error->message, self::TOO_DEEP) !== false,
        );
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        if ($deep !== []) {
            throw Refusal::ofDepth();
        }
        $body = $document->getElementsByTagName('body')->item(0);

        return Document::of($this->trimmed($body === null ? [] : $this->content($body, $picture)));
    }

    /** HTML that was written from a tree: its pictures are in it, and so is what stands around the words. */
    public function ofOurs(string $html): Document
    {
        return (new self(true))->read(
            $html,
            fn (string $source): ?Picture => preg_match(
                '~\Adata:(image/(?:png|jpeg));base64,(.+)\z~s', $source, $data,
            ) === 1
                ? Picture::of($data[1], (string) base64_decode($data[2], true))
                : null,
        );
    }

    /**
     * @param  callable(string): (Picture|null)  $picture
     * @return list<Node|string>
     */
    private function content(DOMNode $node, callable $picture): array
    {
        $content = [];
        foreach ($node->childNodes as $child) {
            if ($child instanceof DOMText) {
                $content[] = $child->data;
            } elseif ($child instanceof DOMElement) {
                array_push($content, ...$this->element($child, $picture));
            }
        }

        return $content;
    }

    /**
     * @param  callable(string): (Picture|null)  $picture
     * @return list<Node|string>
     */
    private function element(DOMElement $element, callable $picture): array
    {
        $tag = strtolower($element->nodeName);
        // The address of a link, as the desk keeps it.
        if ($tag === 'span' && $element->hasAttribute('data-address')) {
            return [Node::link('https://'.$element->getAttribute('data-address'), $this->content($element, $picture))];
        }
        if ($tag === 'aside' && $this->ours && $element->hasAttribute('data-around')) {
            return [Node::of(NodeKind::Around, $this->content($element, $picture))];
        }
        if (in_array($tag, self::GROUPS, true)) {
            return $this->content($element, $picture);
        }
        $kind = NodeKind::tryFrom($tag);
        if ($kind === NodeKind::Picture) {
            $made = $picture($element->getAttribute('src'));

            return $made === null ? [] : [Node::picture($made)];
        }

        return match ($kind) {
            null => [],
            NodeKind::Link => $this->isBackFromNote($element)
                ? []
                : [Node::link($element->getAttribute('href'), $this->content($element, $picture))],
            NodeKind::Cell,
            NodeKind::HeadCell => [
                Node::cell(
                    $kind, (int) $element->getAttribute('colspan'), (int) $element->getAttribute('rowspan'),
                    $this->content($element, $picture),
                ),
            ],
            default => [Node::of($kind, $this->content($element, $picture))],
        };
    }

    /** The arrow behind a note that leads back to its place. */
    private function isBackFromNote(DOMElement $link): bool
    {
        return in_array($link->getAttribute('role'), ['doc-backlink'], true)
            || $link->getAttribute('class') === 'footnote-back';
    }

    /**
     * @param  list<Node|string>  $content
     * @return list<Node|string>
     */
    private function trimmed(array $content): array
    {
        while (is_string($content[0] ?? null) && trim($content[0]) === '') {
            array_shift($content);
        }
        while (
            $content !== [] && is_string($content[count($content) - 1]) && trim($content[count($content) - 1]) === ''
        ) {
            array_pop($content);
        }

        return $content;
    }
}
