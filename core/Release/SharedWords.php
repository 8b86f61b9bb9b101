<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

use YoungHarbor\Core\Text\Words;

/**
 * The words that many of some short texts have in common, by how many people wrote them. English words of little
 * meaning are left out; a word of a prompt says nothing either, since it was put into people's mouths.
 */
final class SharedWords
{
    /** Below so many people a word is nobody's but theirs. */
    public const LEAST = 3;

    private const SHORTEST = 4;

    /** Common words that say little of a subject, from memory. */
    private const LITTLE = 'about above across after again against almost alone along already also although always among another anyone anything around away back because been before began begin being below better between both bring came cannot come comes could didn does doing done down during each either else enough even ever every everyone everything feel felt first found from gave getting give given goes going gone good have having hers here himself html http https into isn itself just keep kept kind knew know known last later least less like little long look looked made make makes making many maybe mean might more most much must myself need never next nothing often once only other others ours over part people perhaps quite rather read really right said same says seem seemed seen self several shall should since some someone something sometimes soon still such sure take taken tell than that their them then there these they thing things think this those though thought three through time times together told took toward towards tried truly turn under until upon used using very want wanted wasn week well went were what whatever when where whether which while whole whom whose will with within without would write wrote year yeah your yours yourself';

    /**
     * @param  list<string>  $texts  one a person
     * @param  list<string>  $prompts
     * @return array<string, int> how many people wrote it, by word; most first, then in the order of the alphabet
     */
    public static function of(array $texts, array $prompts, int $most): array
    {
        $little = array_flip(explode(' ', self::LITTLE));
        $asked = [];
        foreach ($prompts as $prompt) {
            $asked += array_fill_keys(array_map(self::stem(...), self::words($prompt)), true);
        }
        $people = [];
        foreach ($texts as $text) {
            foreach (array_unique(self::words($text)) as $word) {
                if (mb_strlen($word) >= self::SHORTEST && ! isset($little[$word]) && ! isset(
                    $asked[self::stem($word)]
                )) {
                    $people[$word] = ($people[$word] ?? 0) + 1;
                }
            }
        }
        $people = array_filter($people, fn (int $many) => $many >= self::LEAST);
        uksort($people, fn (string|int $a, string|int $b) => [$people[$b], (string) $a] <=> [$people[$a], (string) $b]);

        return array_slice($people, 0, $most);
    }

    /** Its first letters, so that “expected” meets “expect”. */
    private static function stem(string $word): string
    {
        return mb_substr($word, 0, 5);
    }

    /**
     * @return list<string>
     */
    private static function words(string $text): array
    {
        return Words::of($text)->normalForms();
    }
}
