<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Document;

/**
 * One part of a document with what stands in it: text, and further parts.
 */
final readonly class Node
{
    /**
     * @param  list<Node|string>  $content
     * @param  int  $columns  that a cell of a table spans, 1 to 100
     * @param  int  $rows  likewise
     * @param  string|null  $address  of a link: http or https, shown as text and never followed
     */
    private function __construct(
        public NodeKind $kind,
        public array $content,
        public int $columns = 1,
        public int $rows = 1,
        public ?string $address = null,
        public ?Picture $picture = null,
    ) {
    }

    /**
     * @param  list<Node|string>  $content
     */
    public static function of(NodeKind $kind, array $content = []): self
    {
        return new self($kind, $kind->isEmpty() ? [] : $content);
    }

    /**
     * @param  list<Node|string>  $content
     */
    public static function cell(NodeKind $kind, int $columns, int $rows, array $content): self
    {
        return new self($kind, $content, max(1, min(100, $columns)), max(1, min(100, $rows)));
    }

    /**
     * @param  string  $address  anything but http and https is left out
     * @param  list<Node|string>  $content
     */
    public static function link(string $address, array $content): self
    {
        $address = trim(preg_replace('/[\p{C}\s]+/u', '', $address) ?? '');

        return new self(
            NodeKind::Link, $content,
            address: preg_match('~\Ahttps?://[^/?#@\s]+(?:[/?#]|\z)~i', $address) === 1
                ? mb_substr($address, 0, 500)
                : null,
        );
    }

    public static function picture(Picture $picture): self
    {
        return new self(NodeKind::Picture, [], picture: $picture);
    }

    /**
     * @param  list<Node|string>  $content
     */
    public function with(array $content): self
    {
        return new self($this->kind, $content, $this->columns, $this->rows, $this->address, $this->picture);
    }

    public function withoutAddress(): self
    {
        return new self($this->kind, $this->content, $this->columns, $this->rows, null, $this->picture);
    }
}
