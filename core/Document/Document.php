<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Document;

/**
 * A text with its structure, as a tree of what is allowed in one ({@see NodeKind}). Whatever a marker sees or takes away is
 * written anew from it.
 */
final readonly class Document
{
    /**
     * @param  list<Node|string>  $content
     */
    private function __construct(public array $content)
    {
    }

    /**
     * @param  list<Node|string>  $content
     */
    public static function of(array $content): self
    {
        return new self($content);
    }

    /**
     * A text of paragraphs parted by empty lines; a form feed ends a page.
     *
     * @param  string  $text  UTF-8
     */
    public static function ofText(string $text): self
    {
        $text = preg_replace('/\A\x{FEFF}/u', '', str_replace(["\r\n", "\r"], "\n", $text)) ?? '';
        $content = [];
        foreach (explode("\f", $text) as $n => $page) {
            $n > 0 && $content[] = Node::of(NodeKind::PageEdge);
            // A hyphen at a line's end joins the two parts of a word.
            $page = preg_replace('/(?<=\p{Ll})[-‐]\n(?=\p{Ll})/u', '', $page) ?? $page;
            foreach (preg_split('/\n[ \t]*\n+/', $page) ?: [] as $paragraph) {
                if (trim($paragraph) !== '') {
                    self::hasParagraph($content) && $content[] = "\n";
                    $content[] = Node::of(NodeKind::Paragraph, [trim($paragraph)]);
                }
            }
        }

        return new self($content);
    }

    /**
     * Several documents as one, each under a heading of its own.
     *
     * @param  array<string, self>  $documents  by heading
     */
    public static function together(array $documents): self
    {
        $content = [];
        foreach ($documents as $heading => $document) {
            array_push($content, Node::of(NodeKind::Heading2, [$heading]), "\n", ...[...$document->content, "\n"]);
        }

        return new self($content);
    }

    /**
     * @return list<Picture> in their order
     */
    public function pictures(): array
    {
        $pictures = [];
        $this->walk($this->content, function (Node|string $part) use (&$pictures): void {
            $part instanceof Node && $part->picture !== null && $pictures[] = $part->picture;
        });

        return $pictures;
    }

    /** How many paragraphs, headings, items and cells there are. */
    public function paragraphs(): int
    {
        $paragraphs = 0;
        $this->walk($this->content, function (Node|string $part) use (&$paragraphs): void {
            $part instanceof Node && $part->kind->isBlock() && ! $part->kind->isEmpty() && $paragraphs++;
        });

        return $paragraphs;
    }

    /**
     * The same with each part of it made anew.
     *
     * @param  callable(Node|string): (Node|string|null)  $change  asked after what stands in a part was changed; null takes it out
     */
    public function map(callable $change): self
    {
        return new self(self::mapped($this->content, $change));
    }

    /** The words, as paragraphs parted by empty lines; a quotation set as a block stays one. */
    public function text(): string
    {
        $paragraphs = preg_split('/\n\s*\n/u', $this->textOf($this->content)) ?: [];
        $clean = array_map(
            fn (string $paragraph) => trim((string) preg_replace('/[ \t\n\r]+/', ' ', $paragraph)), $paragraphs,
        );

        return implode("\n\n", array_filter($clean, fn (string $paragraph) => $paragraph !== ''));
    }

    /**
     * @param  list<Node|string>  $content
     */
    private function textOf(array $content): string
    {
        $text = '';
        foreach ($content as $part) {
            if (is_string($part)) {
                $text .= $part;

                continue;
            }
            $inside = $this->textOf($part->content);
            $text .= match (true) {
                $part->kind === NodeKind::Around => "\n\n",
                $part->kind === NodeKind::Break => "\n",
                $part->kind === NodeKind::Quotation => "\n\n".implode(
                    "\n\n",
                    array_map(
                        fn (string $paragraph) => '> '.trim($paragraph),
                        array_filter(
                            preg_split('/\n\s*\n/u', $inside) ?: [], fn (string $paragraph) => trim($paragraph) !== '',
                        ),
                    ),
                )."\n\n",
                $part->kind->isBlock() => "\n\n{$inside}\n\n",
                default => $inside,
            };
        }

        return $text;
    }

    /**
     * @param  list<Node|string>  $content
     * @param  callable(Node|string): void  $see
     */
    private function walk(array $content, callable $see): void
    {
        foreach ($content as $part) {
            $see($part);
            $part instanceof Node && $this->walk($part->content, $see);
        }
    }

    /**
     * @param  list<Node|string>  $content
     * @param  callable(Node|string): (Node|string|null)  $change
     * @return list<Node|string>
     */
    private static function mapped(array $content, callable $change): array
    {
        $mapped = [];
        foreach ($content as $part) {
            $changed = $change($part instanceof Node ? $part->with(self::mapped($part->content, $change)) : $part);
            $changed === null || $mapped[] = $changed;
        }

        return $mapped;
    }

    /**
     * @param  list<Node|string>  $content
     */
    private static function hasParagraph(array $content): bool
    {
        foreach ($content as $part) {
            if ($part instanceof Node && $part->kind === NodeKind::Paragraph) {
                return true;
            }
        }

        return false;
    }
}
