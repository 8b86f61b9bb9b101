<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Document;

/**
 * Writes a document as HTML: elements of the tree and nothing else, with no attribute but spans of cells, the data of
 * pictures, and the address of a link where it is wanted.
 */
final class Html
{
    /**
     * The text as the desk shows it. A link is text; its address stands beside it for the eye and counts as no words of
     * the script.
     */
    public static function ofText(Document $document): string
    {
        $number = 0;

        return self::written($document->content, self::besideLink(...), $number);
    }

    /** As a post of a discussion is read: its links can be followed, and say nothing of where one comes from. */
    public static function ofPost(Document $document): string
    {
        $number = 0;

        return self::written($document->content, fn (Node $link, string $inside): string => $link->address === null
            ? $inside
            : '<a href="'.self::escaped($link->address).'" target="_blank" rel="noopener noreferrer nofollow ugc">'
                ."{$inside}</a>", $number);
    }

    /** A whole page to take away. Addresses of links stand behind them in brackets. */
    public static function page(Document $document, string $title): string
    {
        return '<!DOCTYPE html><html lang="en"><head><meta charset="utf-8"><title>'.self::escaped($title)
            .'</title></head><body>'.self::ofFile($document)."</body></html>\n";
    }

    /** The same without the frame of a page. */
    public static function ofFile(Document $document): string
    {
        $number = 0;

        return self::written($document->content, self::behindLink(...), $number);
    }

    /**
     * @param  list<Node|string>  $content
     * @param  callable(Node, string): string  $linked  a link, and what stands in it
     */
    private static function written(array $content, callable $linked, int &$number): string
    {
        $html = '';
        foreach ($content as $part) {
            if (is_string($part)) {
                $html .= self::escaped($part);

                continue;
            }
            $tag = $part->kind->value;
            $html .= match ($part->kind) {
                NodeKind::PageEdge => '',
                NodeKind::Break, NodeKind::Rule => "<{$tag} />",
                NodeKind::Picture => $part->picture === null
                    ? ''
                    : '<img src="data:'.$part->picture->type.';base64,'.base64_encode($part->picture->bytes)
                        .'" alt="Picture '.(++$number).' of the script" />',
                NodeKind::Link => $linked($part, self::written($part->content, $linked, $number)),
                NodeKind::Around => '<aside data-around="">'.self::written($part->content, $linked, $number).'</aside>',
                default => "<{$tag}".self::spans($part).'>'.self::written($part->content, $linked, $number)
                    ."</{$tag}>",
            };
        }

        return $html;
    }

    private static function besideLink(Node $link, string $inside): string
    {
        $shown = self::addressApart($link, $inside);

        return $shown === null ? $inside : '<span data-address="'.self::escaped($shown)."\">{$inside}</span>";
    }

    private static function behindLink(Node $link, string $inside): string
    {
        $shown = self::addressApart($link, $inside);

        return $shown === null ? $inside : $inside.' ['.self::escaped($shown).']';
    }

    /** The address of a link, where its words do not say it. */
    private static function addressApart(Node $link, string $inside): ?string
    {
        $shown = $link->address === null ? null : preg_replace('~\Ahttps?://(?:www\.)?|/\z~i', '', $link->address);
        $said = html_entity_decode(trim(strip_tags($inside)), ENT_QUOTES | ENT_HTML5);

        return $shown === null || $shown === '' || str_contains($said, $shown) ? null : $shown;
    }

    private static function spans(Node $part): string
    {
        return ($part->columns > 1 ? " colspan=\"{$part->columns}\"" : '')
            .($part->rows > 1 ? " rowspan=\"{$part->rows}\"" : '');
    }

    private static function escaped(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_SUBSTITUTE | ENT_HTML5, 'UTF-8');
    }
}
