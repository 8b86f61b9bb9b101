<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use YoungHarbor\Core\Figures\Figure;

/**
 * The changes that give a draft another shape: add, remove, duplicate, move, spread.
 *
 * A change is written as a word and the ids it is about, `remove-criterion:c2` or `place-criterion:c2:0`. It is always
 * about ids, never about positions seen, so it means the same when someone else has changed the draft meanwhile. What
 * cannot be done (any more) leaves the draft as it is.
 */
final class DraftShape
{
    /** @var int most steps a checklist criterion can have */
    public const MOST_ITEMS = 100;

    public static function apply(Draft $draft, string $do): Draft
    {
        [$what, $id, $other] = array_pad(explode(':', $do), 3, '');

        return match ($what) {
            'add-criterion' => self::addCriterion($draft, $id),
            'duplicate-criterion' => self::duplicateCriterion($draft, $id),
            'remove-criterion' => $draft->with('criteria', self::without($draft->criteria(), $id)),
            'criterion-up' => $draft->with('criteria', self::moved($draft->criteria(), $id, -1)),
            'criterion-down' => $draft->with('criteria', self::moved($draft->criteria(), $id, 1)),
            'place-criterion' => $draft->with('criteria', self::placed($draft->criteria(), $id, (int) $other)),
            'add-level' => self::addLevel($draft),
            'duplicate-level' => self::duplicateLevel($draft, $id),
            'remove-level' => self::removeLevel($draft, $id),
            'level-left' => $draft->with('levels', self::moved($draft->levels(), $id, -1)),
            'level-right' => $draft->with('levels', self::moved($draft->levels(), $id, 1)),
            'place-level' => $draft->with('levels', self::placed($draft->levels(), $id, (int) $other)),
            'own-levels' => $draft->withCriterion($id, fn (array $c) => ['levels' => $draft->levelsOf($c)] + $c),
            'shared-levels' => $draft->withCriterion($id, fn (array $c) => array_diff_key($c, ['levels' => true])),
            'add-own-level' => self::inList(
                $draft, $id, 'levels',
                fn (array $rows) => self::added($rows, 'l', Rubric::MOST_LEVELS, ['title' => '', 'points' => '']),
            ),
            'remove-own-level' => self::inList($draft, $id, 'levels', fn (array $rows) => self::without($rows, $other)),
            'own-level-left' => self::inList($draft, $id, 'levels', fn (array $rows) => self::moved($rows, $other, -1)),
            'own-level-right' => self::inList($draft, $id, 'levels', fn (array $rows) => self::moved($rows, $other, 1)),
            'add-item' => self::inList(
                $draft, $id, 'items',
                fn (array $rows) => self::added($rows, 's', self::MOST_ITEMS, ['title' => '', 'points' => '1']),
            ),
            'remove-item' => self::inList($draft, $id, 'items', fn (array $rows) => self::without($rows, $other)),
            'item-up' => self::inList($draft, $id, 'items', fn (array $rows) => self::moved($rows, $other, -1)),
            'item-down' => self::inList($draft, $id, 'items', fn (array $rows) => self::moved($rows, $other, 1)),
            'spread' => self::spread($draft, WeightBalance::spread(...)),
            'spread-in-proportion' => self::spread($draft, WeightBalance::scale(...)),
            default => $draft,
        };
    }

    /** What a change does, for the person who may undo it: 'removed criterion “Argument”'. */
    public static function inWords(Draft $draft, string $do): string
    {
        [$what, $id] = array_pad(explode(':', $do), 2, '');
        $named = function (string $list) use ($draft, $id): string {
            $title = trim($draft->get("{$list}.{$id}.title"));

            return ($list === 'criteria' ? 'criterion' : 'level').($title === '' ? '' : " “{$title}”");
        };

        return match ($what) {
            'add-criterion' => 'added a criterion',
            'duplicate-criterion' => 'duplicated '.$named('criteria'),
            'remove-criterion' => 'removed '.$named('criteria'),
            'criterion-up', 'criterion-down', 'place-criterion' => 'moved '.$named('criteria'),
            'add-level' => 'added a level',
            'duplicate-level' => 'duplicated '.$named('levels'),
            'remove-level' => 'removed '.$named('levels'),
            'level-left', 'level-right', 'place-level' => 'moved '.$named('levels'),
            'spread', 'spread-in-proportion' => 'spread the weights',
            default => 'changed '.$named('criteria'),
        };
    }

    private static function addCriterion(Draft $draft, string $after): Draft
    {
        $criteria = $draft->criteria();
        if (count($criteria) >= Rubric::MOST_CRITERIA) {
            return $draft;
        }
        $at = $after === '' ? null : Draft::position($criteria, $after);
        array_splice(
            $criteria, $at === null ? count($criteria) : $at + 1, 0,
            [Draft::newCriterion(self::freeId($criteria, 'c'))],
        );

        return $draft->with('criteria', $criteria);
    }

    private static function duplicateCriterion(Draft $draft, string $id): Draft
    {
        $criteria = $draft->criteria();
        $at = Draft::position($criteria, $id);
        if ($at === null || count($criteria) >= Rubric::MOST_CRITERIA) {
            return $draft;
        }
        $title = trim($draft->get("criteria.{$id}.title").' (copy)');
        $copy = [
            'id' => self::freeId($criteria, 'c'), 'title' => $title, 'weight' => '0', 'pinned' => false,
        ] + $criteria[$at];
        array_splice($criteria, $at + 1, 0, [$copy]);

        return $draft->with('criteria', $criteria);
    }

    private static function addLevel(Draft $draft): Draft
    {
        return $draft->with(
            'levels', self::added($draft->levels(), 'l', Rubric::MOST_LEVELS, ['title' => '', 'points' => '']),
        );
    }

    private static function duplicateLevel(Draft $draft, string $id): Draft
    {
        $levels = $draft->levels();
        $at = Draft::position($levels, $id);
        if ($at === null || count($levels) >= Rubric::MOST_LEVELS) {
            return $draft;
        }
        $copy = self::freeId($levels, 'l');
        array_splice(
            $levels, $at + 1, 0,
            [['id' => $copy, 'title' => trim($draft->get("levels.{$id}.title").' (copy)')] + $levels[$at]],
        );
        $draft = $draft->with('levels', $levels);
        foreach ($draft->criteria() as $criterion) {
            foreach (isset($criterion['levels']) ? [] : ['descriptors', 'guidance', 'overrides', 'unused'] as $field) {
                $draft = $draft->set(
                    "criteria.{$criterion['id']}.{$field}.{$copy}",
                    $draft->get("criteria.{$criterion['id']}.{$field}.{$id}"),
                );
            }
        }

        return $draft;
    }

    private static function removeLevel(Draft $draft, string $id): Draft
    {
        $draft = $draft->with('levels', self::without($draft->levels(), $id));
        $criteria = array_map(function (array $criterion) use ($id): array {
            if (isset($criterion['levels'])) {
                return $criterion;
            }
            foreach (['descriptors', 'guidance', 'overrides'] as $field) {
                if (is_array($criterion[$field] ?? null)) {
                    unset($criterion[$field][$id]);
                }
            }
            if (is_array($criterion['unused'] ?? null)) {
                $criterion['unused'] = array_values(
                    array_filter($criterion['unused'], fn (mixed $each) => $each !== $id)
                );
            }

            return $criterion;
        }, $draft->criteria());

        return $draft->with('criteria', $criteria);
    }

    /**
     * Spreads what is missing to 100 over the criteria whose weights are not pinned.
     *
     * @param  callable(list<\Brick\Math\BigDecimal>, list<int>): list<\Brick\Math\BigDecimal>  $how
     */
    private static function spread(Draft $draft, callable $how): Draft
    {
        $criteria = $draft->criteria();
        $scored = array_keys(
            array_filter($criteria, fn (array $criterion) => Draft::kindOf($criterion) !== CriterionKind::Comment)
        );
        $weights = array_map(fn (int $i) => Draft::weight($criteria[$i]), $scored);
        $free = array_keys(array_filter($scored, fn (int $i) => ($criteria[$i]['pinned'] ?? false) !== true));
        foreach ($how($weights, $free) as $n => $weight) {
            $criteria[$scored[$n]]['weight'] = Figure::plain($weight);
        }

        return $draft->with('criteria', $criteria);
    }

    /**
     * @param  callable(list<array{id: string, ...}>): list<array<array-key, mixed>>  $change
     */
    private static function inList(Draft $draft, string $criterion, string $list, callable $change): Draft
    {
        return $draft->withCriterion(
            $criterion, fn (array $c) => isset($c[$list]) ? [...$c, $list => $change(Draft::rowsOf($c, $list))] : $c,
        );
    }

    /**
     * @param  list<array{id: string, ...}>  $rows
     * @param  array<string, string>  $row
     * @return list<array<array-key, mixed>>
     */
    private static function added(array $rows, string $letter, int $most, array $row): array
    {
        return count($rows) >= $most ? $rows : [...$rows, ['id' => self::freeId($rows, $letter)] + $row];
    }

    /**
     * @param  list<array<string, mixed>>  $rows
     */
    private static function freeId(array $rows, string $letter): string
    {
        $highest = 0;
        foreach ($rows as $row) {
            if (is_string($row['id']) && preg_match('/\A'.$letter.'([0-9]{1,6})\z/', $row['id'], $match) === 1) {
                $highest = max($highest, (int) $match[1]);
            }
        }

        return $letter.($highest + 1);
    }

    /**
     * @param  list<array<string, mixed>>  $rows
     * @return list<array<string, mixed>>
     */
    private static function without(array $rows, string $id): array
    {
        return count($rows) <= 1 ? $rows : array_values(array_filter($rows, fn (array $row) => $row['id'] !== $id));
    }

    /**
     * @param  list<array<string, mixed>>  $rows
     * @return list<array<string, mixed>>
     */
    private static function moved(array $rows, string $id, int $by): array
    {
        $at = Draft::position($rows, $id);

        return $at === null || ! isset($rows[$at + $by]) ? $rows : self::placed($rows, $id, $at + $by);
    }

    /**
     * @param  list<array<string, mixed>>  $rows
     * @return list<array<string, mixed>>
     */
    private static function placed(array $rows, string $id, int $to): array
    {
        $at = Draft::position($rows, $id);
        if ($at === null) {
            return $rows;
        }
        $row = $rows[$at];
        array_splice($rows, $at, 1);
        array_splice($rows, max(0, min($to, count($rows))), 0, [$row]);

        return $rows;
    }
}
