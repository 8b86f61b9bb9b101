<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Accounts;

/**
 * Bytes as letters that can be read out and typed: A to Z and 2 to 7, five bits each (RFC 4648, section 6), without the
 * signs that fill up at the end.
 */
final class Base32
{
    private const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    public static function encode(#[\SensitiveParameter] string $bytes): string
    {
        $bits = '';
        foreach (str_split($bytes) as $byte) {
            $bits .= $bytes === '' ? '' : str_pad(decbin(ord($byte)), 8, '0', STR_PAD_LEFT);
        }

        return implode('', array_map(
            fn (string $five) => self::LETTERS[(int) bindec(str_pad($five, 5, '0'))],
            $bits === '' ? [] : str_split($bits, 5),
        ));
    }

    /**
     * @param  string  $letters  in either case, with spaces, hyphens and signs that fill up or without
     * @return string|null null when other signs stand in it
     */
    public static function decode(#[\SensitiveParameter] string $letters): ?string
    {
        $letters = strtoupper((string) preg_replace('/[\s=-]+/', '', $letters));
        if (preg_match('/^[A-Z2-7]*$/', $letters) !== 1) {
            return null;
        }
        $bits = '';
        foreach ($letters === '' ? [] : str_split($letters) as $letter) {
            $bits .= str_pad(decbin((int) strpos(self::LETTERS, $letter)), 5, '0', STR_PAD_LEFT);
        }

        return implode('', array_map(
            fn (string $eight) => strlen($eight) === 8 ? chr((int) bindec($eight)) : '',
            $bits === '' ? [] : str_split($bits, 8),
        ));
    }
}
