<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Text;

/**
 * Letters of another script that look like those around them. A word written with some of them reads the same to people
 * and differs for programs.
 *
 * Only small letters are listed; words are compared in small letters. From Unicode Technical Standard 39, "Unicode
 * Security Mechanisms" (confusables), the part that concerns Latin, Cyrillic and Greek, from memory.
 */
final class LookAlikes
{
    private const LATIN = [
        'а' => 'a', 'в' => 'b', 'с' => 'c', 'ԁ' => 'd', 'е' => 'e', 'һ' => 'h', 'і' => 'i', 'ј' => 'j', 'к' => 'k',
        'ӏ' => 'l', 'м' => 'm', 'н' => 'h', 'о' => 'o', 'р' => 'p', 'ԛ' => 'q', 'г' => 'r', 'ѕ' => 's', 'т' => 't',
        'ѵ' => 'v', 'ԝ' => 'w', 'х' => 'x', 'у' => 'y', 'ё' => 'ë', 'ї' => 'ï',
        'α' => 'a', 'β' => 'b', 'ε' => 'e', 'η' => 'n', 'ι' => 'i', 'κ' => 'k', 'ν' => 'v', 'ο' => 'o', 'ρ' => 'p',
        'τ' => 't', 'υ' => 'u', 'χ' => 'x', 'γ' => 'y', 'ϲ' => 'c', 'ϳ' => 'j', 'ɑ' => 'a', 'ɡ' => 'g', 'ı' => 'i',
    ];

    /** Capitals that look like another Latin letter than their small letters do, or like one when those do not. */
    private const CAPITALS = [
        'В' => 'B', 'Н' => 'H', 'Р' => 'P', 'С' => 'C', 'У' => 'Y', 'Х' => 'X', 'Т' => 'T', 'Β' => 'B', 'Ζ' => 'Z',
        'Η' => 'H', 'Μ' => 'M', 'Ν' => 'N', 'Ρ' => 'P', 'Υ' => 'Y', 'Χ' => 'X', 'Τ' => 'T', 'Г' => 'Г',
    ];

    /**
     * Letters that look like a Latin one but are used by themselves too often to count in a word of their own script.
     */
    private const OTHERS = '/[\p{Cyrillic}\p{Greek}ɑɡı]/u';

    /**
     * A word as it reads: with the letters of the script around them. A word whose letters of another script do not all
     * look like Latin ones stays as it is.
     *
     * @param  string  $word  in small letters
     * @param  bool  $latin  whether the text around it is written in Latin letters
     */
    public static function resolved(string $word, bool $latin): string
    {
        if (preg_match(self::OTHERS, $word) !== 1 || (! $latin && preg_match('/\p{Latin}/u', $word) !== 1)) {
            return $word;
        }
        $resolved = strtr($word, self::LATIN);

        return preg_match('/[\p{Cyrillic}\p{Greek}]/u', $resolved) === 1 ? $word : $resolved;
    }

    /** The Latin letter that one letter looks like, or the letter itself. */
    public static function latin(string $letter): string
    {
        $small = mb_strtolower($letter);
        $alike = self::CAPITALS[$letter] ?? self::LATIN[$small] ?? null;

        return match (true) {
            $alike === null => $letter,
            isset(self::CAPITALS[$letter]), $small === $letter => $alike,
            default => mb_strtoupper($alike),
        };
    }

    /** Whether most letters of a text are Latin ones. */
    public static function isLatin(string $text): bool
    {
        return preg_match_all('/\p{Latin}/u', $text) > preg_match_all('/[\p{Cyrillic}\p{Greek}]/u', $text);
    }
}
