<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Text;

/**
 * Masks the ways a text names its own author: the full name in either order, the number, the mail address.
 *
 * A given or family name alone is left as it is, since many are ordinary words.
 */
final readonly class Mask
{
    public const SHOWN = '[name hidden]';

    private ?string $pattern;

    public function __construct(string $name, ?string $number, ?string $email)
    {
        $parts = preg_split('/\s+/u', trim($name), flags: PREG_SPLIT_NO_EMPTY) ?: [];
        $ways = [];
        if (count($parts) > 1) {
            $ways[] = implode('[\s\h]+', array_map(self::loose(...), $parts));
            for ($i = 1; $i < count($parts); $i++) {
                $last = implode('[\s\h]+', array_map(self::loose(...), array_slice($parts, $i)));
                $first = implode('[\s\h]+', array_map(self::loose(...), array_slice($parts, 0, $i)));
                $ways[] = "{$last}[\\s\\h]*,[\\s\\h]*{$first}";
                // Without a comma only as names are written, since many are ordinary words.
                $ways[] = "(?-i:{$last}[\\s\\h]+{$first})";
            }
        }
        foreach ([$email, $number] as $sign) {
            if ($sign !== null && mb_strlen(trim($sign)) >= 4) {
                $ways[] = preg_quote(trim($sign), '/');
            }
        }
        $this->pattern = $ways === [] ? null : '/(?<![\p{L}\p{N}])(?:'.implode('|', $ways).')(?![\p{L}\p{N}])/iu';
    }

    public function hide(string $text, int &$times = 0): string
    {
        if ($this->pattern === null) {
            return $text;
        }
        $hidden = preg_replace($this->pattern, self::SHOWN, $text, -1, $found);
        $times += $found;

        return $hidden ?? $text;
    }

    /** A name's part with its apostrophes and hyphens in any form. */
    private static function loose(string $part): string
    {
        $quoted = preg_quote($part, '/');

        return preg_replace(["/['’ʼ‘]/u", '/\\\\?[-‐‑]/u'], ["['’ʼ‘]", '[-‐‑]'], $quoted) ?? $quoted;
    }
}
