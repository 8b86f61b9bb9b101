<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Text;

use Normalizer;

/**
 * Finds the ways a text names its own author, and masks them: the full name in either order, with or without middle
 * names, with initials for the given names, with and without accents; the number; the mail address.
 *
 * A given or family name alone is left as it is, since many are ordinary words and others share it, but for short
 * lines at the head or the foot of a work, as a title page has them. A name made of ordinary words is looked for with
 * capitals only.
 */
final class Mask
{
    public const SHOWN = '[name hidden]';

    /** Precomposed letters by the letter they are written with when accents are left out. */
    private const ACCENTED = [
        'a' => 'àáâãäåāăąǎạảấầẩẫậ', 'c' => 'çćĉċč', 'd' => 'ďđð', 'e' => 'èéêëēĕėęěẹẻẽếềểễệ', 'g' => 'ĝğġģ', 'h' => 'ĥħ', 'i' => 'ìíîïĩīĭįıỉị',
        'j' => 'ĵ', 'k' => 'ķ', 'l' => 'ĺļľŀł', 'n' => 'ñńņňŋ', 'o' => 'òóôõöøōŏőơọỏốồổỗộớờởỡợ', 'r' => 'ŕŗř', 's' => 'śŝşšș', 't' => 'ţťŧț',
        'u' => 'ùúûüũūŭůűųưụủứừửữự', 'w' => 'ŵ', 'y' => 'ýÿŷỳỵỷỹ', 'z' => 'źżž',
    ];

    /** Letters that are also written as two. */
    private const PAIRED = ['ä' => 'ae', 'ö' => 'oe', 'ü' => 'ue', 'ø' => 'oe', 'å' => 'aa', 'æ' => 'ae', 'œ' => 'oe', 'ß' => 'ss', 'þ' => 'th', 'ð' => 'dh'];

    private const APOSTROPHES = '[\'’ʼ‘´`]?';

    private const GAP = '[\s\h_.\-]+';

    /** Words that make a short line one that names its author. */
    private const LABELS = '(?:by|author|authors|name|names|student|candidate|written|submitted|handed|surname|forename|given|family|from|member|members|group)';

    private ?string $anywhere;

    private ?string $inNameLines;

    private ?string $inTitles;

    private ?string $lone;

    public function __construct(string $name, ?string $number, ?string $email)
    {
        $composed = Normalizer::normalize($name, Normalizer::FORM_C);
        $parts = preg_split('/\s+/u', trim(is_string($composed) ? $composed : $name), flags: PREG_SPLIT_NO_EMPTY) ?: [];
        $ways = [...$this->signs($number, $email), ...$this->fullNames($parts), ...$this->initials($parts)];
        $this->anywhere = $this->pattern($ways);
        $this->lone = $this->pattern(array_map($this->letters(...), array_filter($parts, fn (string $part) => mb_strlen($part) > 2 && ! OrdinaryWords::has($part))));
        $this->inTitles = $this->pattern([...$ways, ...array_map($this->written(...), array_filter($parts, fn (string $part) => ! OrdinaryWords::has($part)))]);
        $this->inNameLines = $this->pattern([...$ways, ...array_map(fn (string $part) => $this->written($part), array_filter($parts, fn (string $part) => mb_strlen($part) > 1))]);
    }

    /**
     * Where the author is named.
     *
     * @param  bool  $nameLine  whether the text is a short line at the head or foot of the work
     * @return list<array{int, int}> byte offsets, the end exclusive, in order and apart
     */
    public function find(string $text, bool $nameLine = false): array
    {
        $pattern = $nameLine ? $this->forLine($text) : $this->anywhere;
        if ($pattern === null || preg_match_all($pattern, $text, $found, PREG_OFFSET_CAPTURE) < 1) {
            return [];
        }

        return array_map(fn (array $match) => [$match[1], $match[1] + strlen($match[0])], $found[0]);
    }

    /** Whether the name of a file names the author, by one name alone too. */
    public function namesFile(string $name): bool
    {
        $words = strtr($name, ['_' => ' ', '-' => ' ', '.' => ' ', '+' => ' ']);

        return $this->find($name) !== [] || $this->find($words) !== [] || ($this->lone !== null && preg_match($this->lone, $words) === 1);
    }

    /**
     * How often a text names any of some authors.
     *
     * @param  list<self>  $masks
     */
    public static function count(array $masks, string $text): int
    {
        return array_sum(array_map(fn (self $mask) => count($mask->find($text)), $masks));
    }

    public function hide(string $text, int &$times = 0, bool $nameLine = false): string
    {
        $found = $this->find($text, $nameLine);
        foreach (array_reverse($found) as [$from, $to]) {
            $text = substr_replace($text, self::SHOWN, $from, $to - $from);
        }
        $times += count($found);

        return $text;
    }

    /**
     * What to look for in a line at head or foot: one name alone too, when the line has few words, and either one such
     * as "by" or none that is ordinary. A name that is an ordinary word counts only beside such a word.
     */
    private function forLine(string $text): ?string
    {
        preg_match_all('/[\p{L}\p{M}][\p{L}\p{M}\'’-]*/u', $text, $words);
        $words = $words[0];
        $labelled = preg_match('/(?<![\p{L}])'.self::LABELS.'(?![\p{L}])/iu', $text) === 1;

        return match (true) {
            $words === [], count($words) > 8 => $this->anywhere,
            $labelled && count($words) <= 4 => $this->inNameLines,
            $labelled, count($words) <= 3 && array_filter($words, OrdinaryWords::has(...)) === [] => $this->inTitles,
            default => $this->anywhere,
        };
    }

    /**
     * @param  list<string>  $parts
     * @return list<string>
     */
    private function fullNames(array $parts): array
    {
        $n = count($parts);
        if ($n === 0) {
            return [];
        }
        if ($n === 1) {
            return mb_strlen($parts[0]) > 3 && ! OrdinaryWords::has($parts[0]) ? ['(?-i:'.$this->written($parts[0]).')'] : [];
        }
        $ordinary = array_filter($parts, fn (string $part) => ! OrdinaryWords::has($part)) === [];
        $ways = [];
        foreach ($this->splits($parts) as [$first, $last]) {
            $asWritten = implode(self::GAP, array_map($this->written(...), [...$first, ...$last]));
            $ways[] = $ordinary ? "(?-i:{$asWritten})" : implode(self::GAP, array_map($this->letters(...), [...$first, ...$last]));
            $family = implode(self::GAP, array_map($ordinary ? $this->written(...) : $this->letters(...), $last));
            $given = implode(self::GAP, array_map($ordinary ? $this->written(...) : $this->letters(...), $first));
            $ways[] = ($ordinary ? '(?-i:' : '(?:').$family.'[\s\h]*,[\s\h]*'.$given.')';
            // Without a comma only as names are written, since many are ordinary words.
            $ways[] = '(?-i:'.implode(self::GAP, array_map($this->written(...), [...$last, ...$first])).')';
            // The given name and the first letter of the family name, with its full stop.
            $ways[] = '(?-i:'.implode(self::GAP, array_map($this->written(...), $first)).'[\s\h]+'.$this->initial($last[0]).'\.)';
        }

        return $ways;
    }

    /**
     * Initials and the family name, in either order.
     *
     * @param  list<string>  $parts
     * @return list<string>
     */
    private function initials(array $parts): array
    {
        if (count($parts) < 2) {
            return [];
        }
        $ways = [];
        foreach ($this->splits($parts) as [$first, $last]) {
            if (mb_strlen(implode('', $last)) < 2) {
                continue;
            }
            $initial = $this->initial($first[0]);
            $more = '(?:[\s\h.-]*\p{Lu}\.?){0,3}';
            // "A" and "I" are words, and so may the family name be: then the initial needs its full stop.
            $stop = in_array(mb_strtoupper(mb_substr($first[0], 0, 1)), ['A', 'I'], true) || array_filter($last, fn (string $part) => ! OrdinaryWords::has($part)) === [] ? '\.' : '\.?';
            $family = implode(self::GAP, array_map($this->written(...), $last));
            $ways[] = "(?-i:{$initial}{$stop}{$more}[\\s\\h]*(?<![\\p{Ll}]){$family})";
            $ways[] = "(?-i:{$family}[\\s\\h]*,?[\\s\\h]+{$initial}\\.(?:[\\s\\h]?\\p{Lu}\\.)*)";
        }

        return $ways;
    }

    /**
     * @return list<string>
     */
    private function signs(?string $number, ?string $email): array
    {
        $ways = [];
        $number = trim((string) $number);
        if (mb_strlen($number) >= 3) {
            $quoted = preg_quote($number, '/');
            // Few digits alone are as likely a year or a page: they need a word that says what they are.
            $ways[] = preg_match('/\A\d{1,5}\z/', $number) === 1 ? '(?:student|candidate|matriculation|registration|number|no|nr|id)\b[^\n\d]{0,20}\K'.$quoted : $quoted;
        }
        $email = trim((string) $email);
        if (str_contains($email, '@')) {
            $ways[] = preg_quote($email, '/');
            $local = (string) strstr($email, '@', true);
            if (mb_strlen($local) >= 6 && preg_match('/[\d._-]/', $local) === 1) {
                $ways[] = preg_quote($local, '/');
            }
        }

        return $ways;
    }

    /**
     * Given and family parts: every way to part the name in two, and the first and last part without those between.
     *
     * @param  list<string>  $parts
     * @return list<array{non-empty-list<string>, non-empty-list<string>}>
     */
    private function splits(array $parts): array
    {
        $n = count($parts);
        $splits = [];
        for ($i = 1; $i < $n; $i++) {
            $splits[] = [array_slice($parts, 0, $i), array_slice($parts, $i)];
        }
        if ($n > 2) {
            $splits[] = [[$parts[0]], [$parts[$n - 1]]];
        }

        /** @var list<array{non-empty-list<string>, non-empty-list<string>}> $splits */
        return $splits;
    }

    /**
     * @param  array<int, string>  $ways
     */
    private function pattern(array $ways): ?string
    {
        return $ways === [] ? null : '/(?<![\p{L}\p{N}])(?:'.implode('|', array_unique($ways)).')(?![\p{L}\p{M}\p{N}])/iu';
    }

    /** The first letter of a part, as a capital. */
    private function initial(string $part): string
    {
        return '(?-i:'.$this->letter(mb_strtoupper(mb_substr($part, 0, 1))).'\p{Mn}*)';
    }

    /** A part of a name as names are written: with a capital, or in capitals; a "de" or "van" in any case. */
    private function written(string $part): string
    {
        if (mb_strtolower(mb_substr($part, 0, 1)) === mb_substr($part, 0, 1)) {
            return "(?i:{$this->letters($part)})";
        }
        $rest = $this->letters(mb_substr($part, 1));

        return $this->initial($part).($rest === '' ? '' : "(?i:{$rest})");
    }

    /** A part of a name in any case, its accents, apostrophes and hyphens in any form. */
    private function letters(string $part): string
    {
        $out = '';
        foreach (mb_str_split($part) as $letter) {
            $out .= match (true) {
                preg_match("/['’ʼ‘´`]/u", $letter) === 1 => self::APOSTROPHES,
                preg_match('/[-‐‑–]/u', $letter) === 1 => '[\s\h‐‑–-]?',
                default => $this->letter($letter).'\p{Mn}*',
            };
        }

        return $out;
    }

    private function letter(string $letter): string
    {
        $upper = mb_strtolower($letter) !== $letter;
        $small = mb_strtolower($letter);
        $base = $small;
        foreach (self::ACCENTED as $plain => $accented) {
            if (mb_strpos($accented, $small) !== false) {
                $base = $plain;
            }
        }
        $all = $base.(self::ACCENTED[$base] ?? '');
        $class = '['.preg_quote($upper ? mb_strtoupper($all) : $all, '/').']';
        if (! isset(self::ACCENTED[$base]) && mb_strlen($base) === 1) {
            $class = preg_quote($upper ? mb_strtoupper($small) : $small, '/');
        }
        $pair = self::PAIRED[$small] ?? null;

        return $pair === null ? $class : '(?:'.$class.'|'.($upper ? mb_convert_case($pair, MB_CASE_TITLE) : $pair).')';
    }
}
