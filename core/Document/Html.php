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

        return self::written($document->content, false, $number);
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

        return self::written($document->content, true, $number);
    }

    /**
     * @param  list<Node|string>  $content
     */
    private static function written(array $content, bool $toTakeAway, int &$number): string
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
                NodeKind::Link => self::link($part, $toTakeAway, $number),
                default => "<{$tag}".self::spans($part).'>'.self::written($part->content, $toTakeAway, $number)
                    ."</{$tag}>",
            };
        }

        return $html;
    }

    private static function link(Node $link, bool $toTakeAway, int &$number): string
    {
        $inside = self::written($link->content, $toTakeAway, $number);
        $shown = $link->address === null ? null : preg_replace('~\Ahttps?://(?:www\.)?|/\z~i', '', $link->address);
        $said = trim(strip_tags($inside));
        if (
            $shown === null || $shown === '' || str_contains(html_entity_decode($said, ENT_QUOTES | ENT_HTML5), $shown)
        ) {
            return $inside;
        }

        return $toTakeAway
            ? $inside.' ['.self::escaped($shown).']'
            : '<span data-address="'.self::escaped($shown)."\">{$inside}</span>";
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
