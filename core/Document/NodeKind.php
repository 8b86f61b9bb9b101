<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Document;

/**
 * All that a document can hold here. What is not listed does not exist: there is nowhere to put it.
 */
enum NodeKind: string
{
    case Paragraph = 'p';
    case Heading1 = 'h1';
    case Heading2 = 'h2';
    case Heading3 = 'h3';
    case Heading4 = 'h4';
    case Heading5 = 'h5';
    case Heading6 = 'h6';
    case Quotation = 'blockquote';
    case Preformatted = 'pre';
    case Bullets = 'ul';
    case Numbers = 'ol';
    case Item = 'li';
    case Definitions = 'dl';
    case Term = 'dt';
    case Meaning = 'dd';
    case Table = 'table';
    case Caption = 'caption';
    case Head = 'thead';
    case Body = 'tbody';
    case Row = 'tr';
    case HeadCell = 'th';
    case Cell = 'td';
    case Rule = 'hr';

    case Emphasis = 'em';
    case Strong = 'strong';
    case Bold = 'b';
    case Italic = 'i';
    case Underlined = 'u';
    case Struck = 's';
    case Subscript = 'sub';
    case Superscript = 'sup';
    case Code = 'code';
    case Quoted = 'q';
    case Title = 'cite';
    case Break = 'br';
    case Link = 'a';
    case Picture = 'img';

    /** What stands around the words for those who read them, and is not its writer's: none of its words are counted. */
    case Around = 'aside';

    /** Where a page of a PDF ends: nothing is shown there. */
    case PageEdge = 'page-edge';

    /** Whether it stands on lines of its own. */
    public function isBlock(): bool
    {
        return match ($this) {
            self::Emphasis, self::Strong, self::Bold, self::Italic, self::Underlined, self::Struck, self::Subscript,
            self::Superscript, self::Code, self::Quoted, self::Title, self::Break, self::Link, self::Picture => false,
            default => true,
        };
    }

    public function isEmpty(): bool
    {
        return in_array($this, [self::Rule, self::Break, self::Picture, self::PageEdge], true);
    }
}
