<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Allocation;

/**
 * Which sections a marker can choose among their scripts by. A section with one or two of them would say whose they
 * are, and so would what is left when all others are chosen: small sections go together with the next smallest until
 * each choice holds enough.
 */
final class SectionFilters
{
    /** Scripts that a choice holds at least. Our own. */
    public const LEAST = 3;

    /**
     * @param  array<string, int>  $scripts  scripts of one marker by section; '' for those in none
     * @return list<non-empty-list<string>> the sections of each choice; none when there is nothing to choose between
     */
    public static function of(array $scripts): array
    {
        $groups = [];
        foreach ($scripts as $section => $count) {
            $count > 0 && $groups[] = [$count, [(string) $section]];
        }
        while (count($groups) > 1) {
            usort($groups, fn (array $a, array $b) => [$a[0], $a[1]] <=> [$b[0], $b[1]]);
            if ($groups[0][0] >= self::LEAST) {
                break;
            }
            [$first, $second] = array_splice($groups, 0, 2);
            $groups[] = [$first[0] + $second[0], [...$first[1], ...$second[1]]];
        }
        if (count($groups) < 2) {
            return [];
        }
        $choices = array_map(function (array $group): array {
            sort($group[1], SORT_NATURAL | SORT_FLAG_CASE);

            return $group[1];
        }, $groups);
        usort($choices, fn (array $a, array $b) => strnatcasecmp($a[0], $b[0]));

        return $choices;
    }
}
