<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Names;

use Normalizer;
use YoungHarbor\Core\Text\LookAlikes;

/**
 * A text as its letters are read, whatever they are made of: without accents and invisible characters, compatibility
 * forms and letters that only look like others as the letters they stand for, one kind of space, apostrophe and hyphen;
 * and the way back to where each stood. Case is kept. Offsets are bytes.
 */
final readonly class Letters
{
    /** Letters that no normal form takes apart. */
    private const PLAIN = [
        'ø' => 'o', 'Ø' => 'O', 'ł' => 'l', 'Ł' => 'L', 'đ' => 'd', 'Đ' => 'D', 'ð' => 'd', 'Ð' => 'D', 'þ' => 'th',
        'Þ' => 'Th', 'ß' => 'ss', 'ẞ' => 'SS', 'æ' => 'ae', 'Æ' => 'Ae', 'œ' => 'oe', 'Œ' => 'Oe',
        'ı' => 'i', 'ħ' => 'h', 'Ħ' => 'H', 'ŋ' => 'n', 'Ŋ' => 'N', 'ŧ' => 't', 'Ŧ' => 'T', 'ɑ' => 'a', 'ɡ' => 'g',
        // Forms of one letter that Arabic names are written with by turns; the stretching stroke is no letter.
        'ى' => 'ي', 'ة' => 'ه', 'ک' => 'ك', 'ی' => 'ي', 'ـ' => '',
    ];

    private const APOSTROPHES = "'’‘ʼ´`′ʹʻʽˈ＇";

    private const HYPHENS = '‐‑‒–—−﹣－';

    /**
     * @param  list<int>  $places  where each piece begins in the plain text
     * @param  list<int>  $origins  and in the original
     * @param  list<bool>  $straight  whether a piece stands there letter by letter
     */
    private function __construct(
        public string $plain,
        private array $places,
        private array $origins,
        private array $straight,
        private int $length,
    ) {
    }

    /**
     * @param  string  $text  UTF-8
     * @param  bool  $latin  whether letters of other alphabets that look like Latin ones are read as those
     */
    public static function of(string $text, bool $latin): self
    {
        $plain = '';
        $places = $origins = $straight = [];
        $keep = function (
            string $read, int $origin, bool $asItStands,
        ) use (&$plain, &$places, &$origins, &$straight): void {
            $places[] = strlen($plain);
            $origins[] = $origin;
            $straight[] = $asItStands;
            $plain .= $read;
        };
        // A hyphen at a line's end joins the two parts of a word.
        preg_match_all('/(?<=\p{L})[-‐\x{AD}]\h*\R\h*(?=\p{Ll})|[^\x00-\x7F]/u', $text, $pieces, PREG_OFFSET_CAPTURE);
        $at = 0;
        foreach ($pieces[0] as [$piece, $origin]) {
            $origin > $at && $keep(substr($text, $at, $origin - $at), $at, true);
            $keep(strpbrk($piece, "\n\r") === false ? self::letter($piece, $latin) : '', $origin, false);
            $at = $origin + strlen($piece);
        }
        $at < strlen($text) && $keep(substr($text, $at), $at, true);

        return new self($plain, $places, $origins, $straight, strlen($text));
    }

    /**
     * @return array{int, int} where a stretch of the plain text stands in the original
     */
    public function original(int $from, int $to): array
    {
        $last = $this->piece($to - 1);

        return [
            $this->origins[$first = $this->piece($from)] + (
                $this->straight[$first] ? $from - $this->places[$first] : 0
            ),
            $this->straight[$last]
                ? $this->origins[$last] + $to - $this->places[$last]
                : $this->origins[$last + 1] ?? $this->length,
        ];
    }

    /** The piece that a byte of the plain text comes from. */
    private function piece(int $at): int
    {
        $low = 0;
        $high = count($this->places) - 1;
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            $this->places[$middle] <= $at ? $low = $middle : $high = $middle - 1;
        }

        return $low;
    }

    private static function letter(string $letter, bool $latin): string
    {
        /** @var array<int, array<string, string>> $known */
        static $known = [];

        return $known[(int) $latin][$letter] ??= self::read($letter, $latin);
    }

    private static function read(string $letter, bool $latin): string
    {
        if (mb_strpos(self::APOSTROPHES, $letter) !== false) {
            return "'";
        }
        if (mb_strpos(self::HYPHENS, $letter) !== false) {
            return '-';
        }
        $apart = Normalizer::normalize($letter, Normalizer::FORM_KD);
        $apart = is_string($apart) ? $apart : $letter;
        // Marks, and what shows nothing at all.
        $apart = preg_replace('/[\p{M}\p{Cf}\x{034F}\x{115F}\x{1160}\x{17B4}\x{17B5}\x{3164}\x{FFA0}]+/u', '', $apart)
            ?? $apart;
        $apart = strtr($apart, self::PLAIN);
        $apart = preg_replace('/[\p{Z}\s]/u', ' ', $apart) ?? $apart;

        return $latin ? LookAlikes::latin($apart) : $apart;
    }
}
