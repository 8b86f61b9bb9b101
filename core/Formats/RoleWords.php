<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Formats;

/**
 * Words that institutions have for roles, and the role each stands for here. From memory; what is not among them is
 * asked for.
 */
final class RoleWords
{
    public const SKIP = 'skip';

    private const WORDS = [
        'student' => '/^(students?|learners?|participants?|candidates?|undergraduates?|postgraduates?|s)$/',
        'examiner' => '/external|examiner/',
        'coordinator' => '/coordinator|co-ordinator|convenor|convener|leader|module lead|course lead|organi[sz]er|director/',
        'tutor' => '/tutor|teacher|lecturer|marker|moderator|assistant|instructor|demonstrator|staff|professor|^ta$|^gta$/',
    ];

    /** The role a word stands for: coordinator, tutor, examiner or student; null when it is not known. */
    public static function guess(string $word): ?string
    {
        foreach (self::WORDS as $role => $pattern) {
            if (preg_match($pattern, self::key($word)) === 1) {
                return $role;
            }
        }

        return null;
    }

    public static function key(string $word): string
    {
        return trim((string) preg_replace('/\s+/u', ' ', mb_strtolower($word)));
    }
}
