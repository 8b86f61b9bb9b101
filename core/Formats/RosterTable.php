<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Formats;

use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Roster\Person;
use YoungHarbor\Core\Tables\Csv;
use YoungHarbor\Core\Tables\CsvRows;

/**
 * A roster as a plain table: a heading line, and a line a person. Which column is what is guessed from the headings and
 * can be said.
 */
final class RosterTable
{
    /** What a column can be. */
    public const FIELDS = [
        'name' => 'Name', 'given' => 'Given name', 'family' => 'Family name', 'email' => 'E-mail address',
        'number' => 'Number', 'role' => 'Role', 'section' => 'Section', 'group' => 'Group',
        'candidate' => 'Candidate number', 'roster_id' => 'Roster id',
    ];

    private const GUESSES = [
        'given' => '/^(given|first|fore)[ _-]?names?$/', 'family' => '/^(family|last|sur)[ _-]?names?$/',
        'email' => '/e?-?mail/', 'group' => '/group|team/', 'roster_id' => '/^(roster|sourced)[ _-]?id$/',
        'candidate' => '/candidate|^(exam|examination|board)[ _-]?(number|no\.?|id)$/',
        'role' => '/^(role|roles|function|position)$/',
        'number' => '/number|matric|^(student[ _-]?)?(id|no\.?|nr\.?)$/',
        'section' => '/section|seminar|tutorial|class|stream/', 'name' => '/name|^student$/',
    ];

    /**
     * @param  list<string>  $headings
     * @return array<string, int> the number of the column from 0, by field
     */
    public static function guess(array $headings): array
    {
        $columns = [];
        foreach ($headings as $n => $heading) {
            foreach (self::GUESSES as $field => $pattern) {
                if (! isset($columns[$field]) && preg_match($pattern, mb_strtolower(trim($heading))) === 1) {
                    $columns[$field] = $n;
                    break;
                }
            }
        }

        return $columns;
    }

    /**
     * @return list<string>
     *
     * @throws InvalidInput when there is no line
     */
    public static function headings(string $text): array
    {
        foreach (CsvRows::of($text) as $cells) {
            return $cells;
        }
        throw InvalidInput::at('file', 'there is no line in it');
    }

    /**
     * @param  array<string, int>  $columns  by field
     * @param  string  $role  of everyone, where no column says it
     * @param  array<string, string>  $roles  what words of the column stand for, where it was said; others are guessed
     * @return list<Person> without those whose role is left out
     *
     * @throws InvalidInput when columns that are needed are not said
     */
    public static function people(string $text, array $columns, string $role, array $roles = []): array
    {
        if (! isset($columns['email']) || (! isset($columns['name']) && ! isset($columns['family']))) {
            throw InvalidInput::at(
                'columns', 'say which column holds the e-mail address, and which the name (or given and family names)',
            );
        }
        $people = [];
        $headed = false;
        foreach (CsvRows::of($text) as $line => $cells) {
            if (! $headed) {
                $headed = true;

                continue;
            }
            $cell = fn (string $field): string => isset($columns[$field]) ? $cells[$columns[$field]] ?? '' : '';
            $or = fn (string $field): ?string => $cell($field) === '' ? null : $cell($field);
            $word = RoleWords::key($cell('role'));
            $is = isset($columns['role']) ? $roles[$word] ?? RoleWords::guess($word) ?? $word : $role;
            if ($is === RoleWords::SKIP) {
                continue;
            }
            $people[] = new Person(
                "line {$line}", $or('roster_id'),
                $cell('name') === '' ? trim("{$cell('given')} {$cell('family')}") : $cell('name'), $or('given'),
                $or('family'),
                mb_strtolower($cell('email')), $or('number'), $is, $or('section'), $or('group'),
                isset($columns['section']), $or('candidate'),
            );
        }

        return $people;
    }

    /**
     * The words that stand in the column for roles, with how many lines have each.
     *
     * @return array<string, int>
     */
    public static function roleWords(string $text, int $column): array
    {
        $words = [];
        $headed = false;
        foreach (CsvRows::of($text) as $cells) {
            if ($headed) {
                $word = RoleWords::key($cells[$column] ?? '');
                $words[$word] = ($words[$word] ?? 0) + 1;
            }
            $headed = true;
        }
        unset($words['']);
        arsort($words);

        return $words;
    }

    /**
     * @param  iterable<Person>  $people
     */
    public static function write(iterable $people): string
    {
        $out = "\u{FEFF}".Csv::line(
            ['Name', 'Given name', 'Family name', 'E-mail address', 'Number', 'Section', 'Roster id', 'Role']
        );
        foreach ($people as $person) {
            $out .= Csv::line(
                [
                    $person->name, $person->given, $person->family, $person->email, $person->number, $person->section,
                    $person->rosterId, $person->role,
                ]
            );
        }

        return $out;
    }
}
