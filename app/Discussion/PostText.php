<?php

declare(strict_types=1);

namespace App\Discussion;

use App\Extraction\HtmlTree;
use League\CommonMark\Environment\Environment;
use League\CommonMark\Extension\Autolink\AutolinkExtension;
use League\CommonMark\MarkdownConverter;
use YoungHarbor\Core\Document\Document;
use YoungHarbor\Core\Document\Html;
use YoungHarbor\Core\Document\Masking;
use YoungHarbor\Core\Document\Node;
use YoungHarbor\Core\Document\NodeKind;
use YoungHarbor\Core\Names\Roll;
use YoungHarbor\Core\Text\Words;

/**
 * What a person typed in a discussion, read ({@see PostMarkup}), its line breaks kept; made anew from the tree of what
 * is allowed, as it stands and with nobody named.
 */
final readonly class PostText
{
    /** Levels of lists in lists and quotations in quotations. */
    private const DEEPEST = 8;

    private function __construct(
        public string $html, public string $masked, public string $maskedText, public int $words,
    ) {
    }

    public static function of(string $typed, Roll $roll): self
    {
        $document = self::document($typed);
        $masked = Masking::ofRoll($document, $roll);
        $own = $document->map(fn (Node|string $part): Node|string|null => $part instanceof Node
            && $part->kind === NodeKind::Quotation ? null : $part);

        return new self(
            Html::ofPost($document), Html::ofPost($masked), $masked->text(), Words::of($own->text())->count(),
        );
    }

    /** What a person of the team typed: they write under their names, and nobody is masked in it for anyone. */
    public static function ofStaff(string $typed): self
    {
        return self::of($typed, new Roll([]));
    }

    private static function document(string $typed): Document
    {
        $typed = str_replace(["\r\n", "\r"], "\n", mb_scrub($typed));
        // A year that begins a line is no number of a list.
        $typed = (string) preg_replace('/^(\h{0,3}\d{3,9})([.)])(?=\h)/m', '$1\\\\$2', $typed);

        return (new HtmlTree)->read(self::converter()->convert($typed)->getContent(), fn (): null => null);
    }

    private static function converter(): MarkdownConverter
    {
        static $converter = null;
        if (! $converter instanceof MarkdownConverter) {
            $environment = new Environment([
                'allow_unsafe_links' => false, 'max_nesting_level' => self::DEEPEST,
                'max_delimiters_per_line' => 200, 'renderer' => ['soft_break' => "<br>\n"],
            ]);
            $environment->addExtension(new PostMarkup);
            $environment->addExtension(new AutolinkExtension);
            $converter = new MarkdownConverter($environment);
        }

        return $converter;
    }
}
