<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * What a marker sets on one criterion as a form sends it, turned into the JSON form of a mark.
 *
 * Fields: `stop` (a stop of the rail), `points`, `done` and `partly` (by step), `none` (no step was done), `own_points` and
 * `own_reason` (points set by hand), `na` (does not apply), `comment`.
 */
final class MarkForm
{
    /**
     * @param  array<array-key, mixed>  $form
     * @return array<string, mixed> empty when nothing is set
     *
     * @throws InvalidInput for what the criterion cannot have
     */
    public static function choice(Criterion $criterion, array $form): array
    {
        $text = fn (string $field): string => is_string($form[$field] ?? null) ? trim($form[$field]) : '';
        $comment = $text('comment') === '' ? [] : ['comment' => is_string($form['comment'] ?? null) ? $form['comment'] : ''];
        if ($criterion->optional() && $text('na') !== '') {
            return ['not_applicable' => true] + $comment;
        }
        $points = str_replace(',', '.', $text('points'));
        $own = str_replace(',', '.', $text('own_points'));
        $choice = match (true) {
            $own !== '' && ! $criterion instanceof CommentCriterion => ['points' => $own, 'reason' => $text('own_reason')],
            $criterion instanceof LevelCriterion => self::onRail($criterion, $text('stop'), $points),
            $criterion instanceof ScaleCriterion => $points === '' ? [] : ['points' => $points],
            $criterion instanceof ChecklistCriterion => self::steps($criterion, $form),
            default => [],
        };

        return $choice + $comment;
    }

    /**
     * @return array<string, mixed>
     *
     * @throws InvalidInput
     */
    private static function onRail(LevelCriterion $criterion, string $stop, string $points): array
    {
        $choice = RailStop::choice($criterion, $stop);
        $level = is_string($choice['level'] ?? null) ? $criterion->level($choice['level']) : null;
        if ($level === null || ! $level->isRange()) {
            return $choice;
        }
        // Points left over from another level do not count here: the range has its own, its middle until others are set.
        $isInside = $points !== '' && $criterion->accepts(['level' => $level->id, 'points' => $points]);

        return ['level' => $level->id, 'points' => $isInside ? $points : Figure::plain($level->middle())];
    }

    /**
     * @param  array<array-key, mixed>  $form
     * @return array<string, mixed>
     */
    private static function steps(ChecklistCriterion $criterion, array $form): array
    {
        $done = is_array($form['done'] ?? null) ? $form['done'] : [];
        $partly = is_array($form['partly'] ?? null) ? $form['partly'] : [];
        $ticked = [];
        $parts = [];
        foreach ($criterion->items as $item) {
            $part = is_string($partly[$item->id] ?? null) ? str_replace(',', '.', trim($partly[$item->id])) : '';
            if (($done[$item->id] ?? '') !== '') {
                $ticked[] = $item->id;
            } elseif ($part !== '') {
                $parts[$item->id] = $part;
            }
        }
        if ($ticked === [] && $parts === []) {
            return ($form['none'] ?? '') === '' ? [] : ['done' => []];
        }

        return ['done' => $ticked] + ($parts === [] ? [] : ['partly' => $parts]);
    }

    /**
     * The fields a mark fills in, the other way round.
     *
     * @param  array<array-key, mixed>  $choice
     * @return array<string, mixed> without the comment
     */
    public static function form(Criterion $criterion, array $choice): array
    {
        if (($choice['not_applicable'] ?? false) === true) {
            return ['na' => '1'];
        }
        if (is_string($choice['reason'] ?? null)) {
            return ['own_points' => $choice['points'] ?? '', 'own_reason' => $choice['reason']];
        }
        if ($criterion instanceof LevelCriterion) {
            foreach (RailStop::of($criterion) as $stop) {
                if ($stop->holds($choice)) {
                    return ['stop' => $stop->key] + (isset($choice['level'], $choice['points']) ? ['points' => $choice['points']] : []);
                }
            }

            return [];
        }
        if (is_array($choice['done'] ?? null)) {
            $partly = is_array($choice['partly'] ?? null) ? $choice['partly'] : [];

            return ['done' => array_fill_keys(array_filter($choice['done'], is_string(...)), '1'), 'partly' => $partly] + ($choice['done'] === [] && $partly === [] ? ['none' => '1'] : []);
        }

        return isset($choice['points']) ? ['points' => $choice['points']] : [];
    }

    /**
     * What a mark says, in words for the people who read it: "Good, 7", "between Fair and Good, 6.5", "3 of 4 items done".
     *
     * @param  array<array-key, mixed>  $choice
     */
    public static function inWords(Criterion $criterion, array $choice): string
    {
        if (($choice['not_applicable'] ?? false) === true) {
            return 'does not apply';
        }
        if ($criterion instanceof ChecklistCriterion && is_array($choice['done'] ?? null)) {
            $partly = is_array($choice['partly'] ?? null) ? count($choice['partly']) : 0;

            return count($choice['done']).' of '.count($criterion->items).' items done'.($partly === 0 ? '' : ", {$partly} partly");
        }
        if (! $criterion instanceof LevelCriterion) {
            return '';
        }
        $points = $criterion->points(array_diff_key($choice, ['comment' => true]));
        $level = $points === null ? null : $criterion->reached($points);

        return $level === null ? '' : (isset($choice['between']) ? 'above ' : '').$level->title;
    }

    /** The range of points a level asks for: "5 to 7"; empty for a single point. */
    public static function range(Level $level): string
    {
        return $level->isRange() ? Figure::plain($level->points).' to '.Figure::plain($level->highest()) : '';
    }
}
