<?php

declare(strict_types=1);

namespace App\Discussion;

use League\CommonMark\Environment\EnvironmentBuilderInterface;
use League\CommonMark\Extension\CommonMark\CommonMarkCoreExtension;
use League\CommonMark\Extension\CommonMark\Delimiter\Processor\EmphasisDelimiterProcessor;
use League\CommonMark\Extension\CommonMark\Node;
use League\CommonMark\Extension\CommonMark\Parser;
use League\CommonMark\Extension\CommonMark\Renderer;
use League\CommonMark\Extension\ConfigurableExtensionInterface;
use League\CommonMark\Node as CoreNode;
use League\CommonMark\Parser as CoreParser;
use League\CommonMark\Renderer as CoreRenderer;
use League\Config\ConfigurationBuilderInterface;

/**
 * What of CommonMark a post can have: paragraphs, bold and italic by asterisks, lists, quotations, code in backticks,
 * links. No HTML, no pictures from elsewhere, no headings, and nothing that follows from spaces before a line.
 */
final class PostMarkup implements ConfigurableExtensionInterface
{
    /** The parsers ask for settings of the whole. */
    public function configureSchema(ConfigurationBuilderInterface $builder): void
    {
        (new CommonMarkCoreExtension)->configureSchema($builder);
    }

    public function register(EnvironmentBuilderInterface $environment): void
    {
        $environment
            ->addBlockStartParser(new Parser\Block\BlockQuoteStartParser, 70)
            ->addBlockStartParser(new Parser\Block\FencedCodeStartParser, 50)
            ->addBlockStartParser(new Parser\Block\ListBlockStartParser, 10)
            ->addInlineParser(new CoreParser\Inline\NewlineParser, 200)
            ->addInlineParser(new Parser\Inline\BacktickParser, 150)
            ->addInlineParser(new Parser\Inline\EscapableParser, 80)
            ->addInlineParser(new Parser\Inline\AutolinkParser, 50)
            ->addInlineParser(new Parser\Inline\CloseBracketParser, 30)
            ->addInlineParser(new Parser\Inline\OpenBracketParser, 20)
            ->addRenderer(Node\Block\BlockQuote::class, new Renderer\Block\BlockQuoteRenderer)
            ->addRenderer(CoreNode\Block\Document::class, new CoreRenderer\Block\DocumentRenderer)
            ->addRenderer(Node\Block\FencedCode::class, new Renderer\Block\FencedCodeRenderer)
            ->addRenderer(Node\Block\ListBlock::class, new Renderer\Block\ListBlockRenderer)
            ->addRenderer(Node\Block\ListItem::class, new Renderer\Block\ListItemRenderer)
            ->addRenderer(CoreNode\Block\Paragraph::class, new CoreRenderer\Block\ParagraphRenderer)
            ->addRenderer(Node\Inline\Code::class, new Renderer\Inline\CodeRenderer)
            ->addRenderer(Node\Inline\Emphasis::class, new Renderer\Inline\EmphasisRenderer)
            ->addRenderer(Node\Inline\Link::class, new Renderer\Inline\LinkRenderer)
            ->addRenderer(CoreNode\Inline\Newline::class, new CoreRenderer\Inline\NewlineRenderer)
            ->addRenderer(Node\Inline\Strong::class, new Renderer\Inline\StrongRenderer)
            ->addRenderer(CoreNode\Inline\Text::class, new CoreRenderer\Inline\TextRenderer)
            ->addDelimiterProcessor(new EmphasisDelimiterProcessor('*'));
    }
}
