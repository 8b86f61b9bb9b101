<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Text;

/**
 * The little formatting a comment may have: paragraphs, line breaks, **bold**, *italic*, and lists of lines that begin
 * with a hyphen. Everything else is text; no markup of the writer's reaches the page.
 */
final class LightMarkup
{
    /** HTML of p, br, ul, li, strong and em. */
    public static function html(string $text): string
    {
        $html = '';
        foreach (preg_split('/\n\s*\n/', str_replace(["\r\n", "\r"], "\n", trim($text))) ?: [] as $block) {
            $html .= $block === '' ? '' : self::block(explode("\n", $block));
        }

        return $html;
    }

    /**
     * @param  list<string>  $lines
     */
    private static function block(array $lines): string
    {
        $html = '';
        $open = '';
        foreach ($lines as $line) {
            $item = preg_match('/\A\s*[-–•]\s+(.+)\z/su', $line, $match) === 1;
            $tag = $item ? 'ul' : 'p';
            if ($tag !== $open) {
                $html .= ($open === '' ? '' : "</{$open}>")."<{$tag}>";
            } elseif ($tag === 'p') {
                $html .= '<br>';
            }
            $open = $tag;
            $html .= $item ? '<li>'.self::inline($match[1]).'</li>' : self::inline($line);
        }

        return $html."</{$open}>";
    }

    private static function inline(string $text): string
    {
        $safe = htmlspecialchars(mb_scrub(trim($text)), ENT_QUOTES | ENT_SUBSTITUTE, 'UTF-8');

        return (string) preg_replace(
            [
                '/\*\*\*(?=[^\s*])([^*]+?)(?<=\S)\*\*\*/u', '/\*\*(?=\S)(.+?)(?<=\S)\*\*/u',
                '/(?<![\w*])\*(?=[^\s*])([^*]+?)(?<=\S)\*(?![\w*])/u',
            ],
            ['<strong><em>$1</em></strong>', '<strong>$1</strong>', '<em>$1</em>'], $safe,
        );
    }
}
