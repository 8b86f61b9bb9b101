<?php

declare(strict_types=1);

namespace App\Extraction;

/**
 * Where a file names its author, and what became of that: taken out of the copy staff get, or hidden in its text.
 */
final class Findings
{
    public const TAKEN_OUT = 'taken out';

    public const HIDDEN = 'hidden';

    /** Names that writing programs put in when they know nobody. */
    private const NOBODY = ['', 'author', 'user', 'unknown', 'anonymous', 'administrator', 'office user', 'python-docx', 'pandoc', 'student'];

    /** @var array<string, array{place: string, fate: string, times: int}> */
    private array $found = [];

    public function add(string $place, string $fate, int $times = 1): void
    {
        if ($times > 0) {
            $before = $this->found[$place]['times'] ?? 0;
            $this->found[$place] = ['place' => $place, 'fate' => $fate, 'times' => $before + $times];
        }
    }

    /** A property of a file that is for someone's name, whoever's it is. */
    public function property(string $place, string $value): void
    {
        $value = preg_replace('/^[\s\p{C}]+|[\s\p{C}]+$/u', '', mb_scrub($value)) ?? $value;
        if (! in_array(mb_strtolower($value), self::NOBODY, true)) {
            $this->add($place, self::TAKEN_OUT);
        }
    }

    /**
     * @return list<array{place: string, fate: string, times: int}>
     */
    public function all(): array
    {
        return array_values($this->found);
    }
}
