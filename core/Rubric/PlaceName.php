<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

/**
 * A place in a draft as people call it: 'criterion “Argument”, descriptor at level “Good”'.
 */
final class PlaceName
{
    private const FIELDS = [
        'title' => 'title', 'purpose' => 'purpose', 'weight' => 'weight', 'kind' => 'kind',
        'optional' => 'whether it is optional', 'pinned' => 'whether its weight is pinned',
        'min' => 'lowest points', 'max' => 'highest points', 'step' => 'step', 'points' => 'points', 'reminder' => 'reminder',
        'descriptors' => 'descriptor', 'guidance' => 'guidance', 'overrides' => 'own points',
        'unused' => 'whether it is used',
        'weighting' => 'weighting', 'points_shown' => 'whether students see points',
    ];

    /** For a place as {@see Draft::get()} takes it. */
    public static function of(Draft $draft, string $place): string
    {
        $parts = explode('.', $place);
        $field = fn (string $name): string => self::FIELDS[$name] ?? $name;

        return match (true) {
            count($parts) === 1 => $field($place),
            $parts[0] === 'levels' => self::row('level', $draft->levels(), $parts[1]).', '.$field($parts[2] ?? ''),
            count($parts) === 3 => self::row('criterion', $draft->criteria(), $parts[1]).', '.$field($parts[2]),
            default => self::inCriterion($draft, $parts),
        };
    }

    /**
     * @param  list<string>  $parts
     */
    private static function inCriterion(Draft $draft, array $parts): string
    {
        $name = self::row('criterion', $draft->criteria(), $parts[1]);
        $at = Draft::position($draft->criteria(), $parts[1]);
        $criterion = $at === null ? [] : $draft->criteria()[$at];
        if ($parts[2] === 'items') {
            return "{$name}, ".self::row('step', Draft::rowsOf($criterion, 'items'), $parts[3]).', '
                .(self::FIELDS[$parts[4] ?? ''] ?? '');
        }
        $level = self::row('level', $draft->levelsOf($criterion), $parts[3]);

        return isset($parts[4])
            ? "{$name}, {$level}, ".(self::FIELDS[$parts[4]] ?? '')
            : "{$name}, ".(self::FIELDS[$parts[2]] ?? $parts[2])." at {$level}";
    }

    /**
     * @param  list<array<string, mixed>>  $rows
     */
    private static function row(string $what, array $rows, string $id): string
    {
        $at = Draft::position($rows, $id);
        if ($at === null) {
            return "a {$what} that is not here";
        }
        $title = is_string($rows[$at]['title'] ?? null) ? trim($rows[$at]['title']) : '';

        return $title === '' ? "{$what} ".($at + 1) : "{$what} “".mb_strimwidth($title, 0, 60, '…').'”';
    }
}
