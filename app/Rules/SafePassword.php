<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * A password that is not tried first: ten characters at least, not the person's own address or name, none of the common
 * ones that ship (resources/passwords, from memory) with or without digits around it, no run of one key or of a row.
 */
final readonly class SafePassword implements ValidationRule
{
    public const SHORTEST = 10;

    /** Rows of keyboards and of what one learns to say by heart. */
    private const ROWS = [
        'abcdefghijklmnopqrstuvwxyz', '01234567890', 'qwertyuiop', 'asdfghjkl', 'zxcvbnm', 'qwertzuiop', 'azertyuiop',
    ];

    public function __construct(
        private string $email,
        private string $name = '',
    ) {
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $password = is_string($value) ? $value : '';
        $plain = mb_strtolower(trim($password));
        $letters = (string) preg_replace('/[^\p{L}\p{N}]+/u', '', $plain);
        $own = array_filter(
            [
                mb_strtolower($this->email), (string) strstr(mb_strtolower($this->email), '@', true),
                ...(preg_split('/\s+/u', mb_strtolower($this->name)) ?: []),
            ],
            fn (string $part) => mb_strlen($part) > 3,
        );
        $why = match (true) {
            mb_strlen($password) < self::SHORTEST => 'A password has at least ten characters. Four ordinary words are easy to keep and hard to guess.',
            $this->isOneOf($plain, $letters) => 'This password is among those that are tried first. Take four words that have nothing to do with each other.',
            array_filter(
                $own,
                fn (string $part) => str_replace(
                    (string) preg_replace('/[^\p{L}\p{N}]+/u', '', $part), '', $letters,
                ) !== $letters && mb_strlen($letters) - mb_strlen($part) < 6,
            ) !== [] => 'Your name or address is no password: whoever knows you tries it first.',
            default => null,
        };
        $why === null || $fail($why);
    }

    private function isOneOf(string $plain, string $letters): bool
    {
        static $common = null;
        $common ??= array_fill_keys(
            array_filter(array_map(trim(...), file(resource_path('passwords/common.txt')) ?: [])), true,
        );
        $core = trim(
            strtr($letters, ['0' => 'o', '1' => 'l', '3' => 'e', '4' => 'a', '5' => 's', '$' => 's']), 'ol0123456789',
        );
        $bare = trim($letters, '0123456789');

        return isset($common[$plain]) || isset($common[$letters])
            || in_array(
                $bare,
                [
                    'password', 'passwort', 'letmein', 'welcome', 'qwerty', 'qwertz', 'iloveyou', 'football',
                    'sunshine', 'princess', 'dragon', 'monkey', 'master', 'admin', 'changeme', 'secret', 'summer',
                    'winter', 'spring', 'autumn', 'college', 'student', 'harbor', 'harbour',
                ],
                true,
            )
            || in_array($core, ['password', 'passwor'], true)
            || count(array_unique(mb_str_split($plain))) < 4
            || $this->isRow($letters);
    }

    /** Whether it is nothing but stretches of rows, forwards or backwards. */
    private function isRow(string $letters): bool
    {
        foreach (self::ROWS as $row) {
            foreach ([$row.$row, strrev($row.$row)] as $way) {
                if ($letters !== '' && str_contains($way, $letters)) {
                    return true;
                }
            }
        }

        return false;
    }
}
