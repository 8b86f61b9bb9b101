<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

/**
 * What changed from one draft of a rubric to another, as people read it.
 */
final class DraftChanges
{
    /**
     * What changed from one draft to another, in words.
     *
     * @return list<array{where: string, before: string, after: string}>
     */
    public static function between(Draft $before, Draft $after): array
    {
        $rows = [];
        foreach ($before->differences($after) as $place => [$old, $new]) {
            $parts = explode('.', $place);
            $isGone = count($parts) > 1 && $after->get($place) === ''
                && str_contains(PlaceName::of($after, $place), 'that is not here');
            $where = PlaceName::of($isGone ? $before : $after, $place);
            // A whole criterion or level that came or went is one line, by its title.
            $isNew = count($parts) > 1 && str_contains(PlaceName::of($before, $place), 'that is not here');
            if (($isGone || $isNew) && end($parts) !== 'title') {
                continue;
            }
            $rows[] = [
                'where' => $where, 'before' => $isNew ? '(not there)' : $old, 'after' => $isGone ? '(removed)' : $new,
            ];
        }

        foreach (
            [
                'criteria' => [$before->criteria(), $after->criteria()],
                'levels' => [$before->levels(), $after->levels()],
            ] as $list => [$old, $new]
        ) {
            $named = fn (Draft $draft, string ...$ids): string => implode(
                ', ', array_map(fn (string $id) => trim($draft->get("{$list}.{$id}.title")) ?: '(no title)', $ids),
            );
            [$oldOrder, $newOrder] = [self::common($old, $new), self::common($new, $old)];
            if ($oldOrder !== $newOrder) {
                $rows[] = [
                    'where' => "order of the {$list}", 'before' => $named($before, ...$oldOrder),
                    'after' => $named($after, ...$newOrder),
                ];
            }
        }

        return $rows;
    }

    /**
     * @param  list<array{id: string, ...}>  $rows
     * @param  list<array{id: string, ...}>  $others
     * @return list<string> ids of the rows that stand among the others too, in the rows' order
     */
    private static function common(array $rows, array $others): array
    {
        $ids = [];
        foreach ($rows as $row) {
            if (Draft::position($others, $row['id']) !== null) {
                $ids[] = $row['id'];
            }
        }

        return $ids;
    }
}
