<?php

declare(strict_types=1);

namespace App\Extraction;

/**
 * Writes every `\uN` of an RTF file so that no reader can take a letter for its fallback.
 *
 * RTF 1.9 lets a Unicode character be followed by `\ucN` fallback characters. Pandoc 2.17 skips one too many when the
 * fallback is a plain character, as many programs write it, and a student would lose the letter after each quotation
 * mark. Here each becomes `{\uc0\uN }`, with its fallback left out.
 */
final class RtfText
{
    private const TOKEN = '/\\\\([a-z]+)(-?\d+)? ?|\\\\\'[0-9a-fA-F]{2}|\\\\.|[{}]|[^\\\\{}]+/s';

    public static function plainUnicode(string $rtf): string
    {
        preg_match_all(self::TOKEN, $rtf, $tokens, PREG_SET_ORDER);
        $out = '';
        $fallback = [1];
        $skip = 0;
        foreach ($tokens as $token) {
            $text = $token[0];
            $depth = count($fallback) - 1;
            if ($text === '{') {
                $fallback[] = $fallback[$depth];
                $skip = 0;
            } elseif ($text === '}') {
                $depth > 0 && array_pop($fallback);
                $skip = 0;
            } elseif (($token[1] ?? '') === 'uc') {
                $fallback[$depth] = max(0, (int) ($token[2] ?? 1));
            } elseif (($token[1] ?? '') === 'u' && isset($token[2])) {
                $out .= '{\\uc0\\u'.$token[2].' }';
                $skip = $fallback[$depth];

                continue;
            } elseif ($skip > 0 && $text[0] === '\\' && ! isset($token[1])) {
                $skip--;

                continue;
            } elseif ($skip > 0 && $text[0] !== '\\') {
                $left = ltrim($text, "\r\n");
                $text = substr($left, min($skip, strlen($left)));
                $skip = max(0, $skip - strlen($left));
            } else {
                $skip = 0;
            }
            $out .= $text;
        }

        return $out;
    }
}
