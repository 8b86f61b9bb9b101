<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

/**
 * What a cohort did well and where it fell short, from results that are out, so that nothing tells of fewer than five
 * students: a count is given where it and what is left of all of them are five or more.
 */
final readonly class CohortFigures
{
    public const LEAST = 5;

    /** Of comments of one kind, so many at most. */
    private const MOST = 10;

    /**
     * @param  int  $results  of how many students
     * @param  list<array{id: string, title: string, mean: float, sd: float}>  $criteria  in the order of the rubric, in per
     *                                                                                    cent of what could be reached
     * @param  array<string, list<array{what: string, students: int|null}>>  $byCriterion  praise and fix, the most first;
     *                                                                                    null: all, or nearly all
     * @param  array<string, list<array{what: string, students: int|null}>>  $byBank  the same by comment of a bank
     */
    private function __construct(
        public int $results, public array $criteria, public array $byCriterion, public array $byBank,
    ) {
    }

    /**
     * @param  list<HeardResult>  $results
     * @return self|null null of fewer than five
     */
    public static function of(array $results): ?self
    {
        if (count($results) < self::LEAST) {
            return null;
        }
        $shares = $titles = [];
        $criterion = $bank = ['praise' => [], 'fix' => []];
        foreach ($results as $student => $result) {
            foreach ($result->criteria as $id => ['title' => $title, 'share' => $share]) {
                $titles[$id] ??= $title;
                $shares[$id][] = 100 * $share;
            }
            foreach ($result->said as $one) {
                if ($one['criterion'] !== null) {
                    $criterion[$one['kind']][$one['criterion']][$student] = true;
                }
                if ($one['bank'] !== null) {
                    $bank[$one['kind']][$one['bank']][$student] = true;
                }
            }
        }
        $all = count($results);

        return new self(
            $all, self::criteria($titles, $shares, $all),
            array_map(fn (array $kind) => self::counted($kind, $all), $criterion),
            array_map(fn (array $kind) => self::counted($kind, $all), $bank),
        );
    }

    /**
     * @param  array<string, string>  $titles
     * @param  array<string, non-empty-list<float>>  $shares
     * @return list<array{id: string, title: string, mean: float, sd: float}>
     */
    private static function criteria(array $titles, array $shares, int $all): array
    {
        $found = [];
        foreach ($shares as $id => $of) {
            // A mean of all beside one of nearly all would tell of those who are missing in it.
            if (count($of) < self::LEAST || (count($of) < $all && $all - count($of) < self::LEAST)) {
                continue;
            }
            $mean = array_sum($of) / count($of);
            $squares = array_sum(array_map(fn (float $one) => ($one - $mean) ** 2, $of));
            $found[] = ['id' => $id, 'title' => $titles[$id], 'mean' => $mean, 'sd' => sqrt($squares / (count($of) - 1))];
        }

        return $found;
    }

    /**
     * @param  array<string, array<int, true>>  $students  by what was said
     * @return list<array{what: string, students: int|null}>
     */
    private static function counted(array $students, int $all): array
    {
        $counts = array_filter(array_map(count(...), $students), fn (int $count) => $count >= self::LEAST);
        uksort($counts, fn (string $a, string $b) => [$counts[$b], $a] <=> [$counts[$a], $b]);
        $found = [];
        foreach (array_slice($counts, 0, self::MOST, true) as $what => $count) {
            $found[] = ['what' => (string) $what, 'students' => $all - $count >= self::LEAST ? $count : null];
        }

        return $found;
    }
}
