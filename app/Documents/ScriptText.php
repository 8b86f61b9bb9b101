<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Handin;

/**
 * The text of a script as its page holds it: what a browser gives as the text content of the article. Positions of
 * comments count its code points.
 */
final class ScriptText
{
    public static function of(Handin $handin): string
    {
        // A page drops the line break that follows <pre>.
        $html = (string) preg_replace('/<pre>\R/', '<pre>', $handin->html);

        return html_entity_decode(
            strip_tags(str_replace(["\r\n", "\r"], "\n", $html)), ENT_QUOTES | ENT_HTML5, 'UTF-8',
        );
    }
}
