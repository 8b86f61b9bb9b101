<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * What a marker sets on one criterion as a form sends it, turned into a mark, and back.
 *
 * Fields: `stop` (a stop of the rail), `points`, `done` and `partly` (by step), `none` (no step was done), `own_points`
 * and `own_reason` (points set by hand), `na` (does not apply), `comment`.
 */
final class MarkForm
{
    /**
     * @param  array<array-key, mixed>  $form
     *
     * @throws InvalidInput for what the criterion cannot have
     */
    public static function mark(Criterion $criterion, array $form): CriterionMark
    {
        $text = fn (string $field): string => is_string($form[$field] ?? null) ? trim($form[$field]) : '';
        $comment = $text('comment') === '' || ! is_string($form['comment'] ?? null) ? '' : $form['comment'];
        if ($criterion->optional() && $text('na') !== '') {
            return new CriterionMark(notApplicable: true, comment: $comment);
        }
        $points = str_replace(',', '.', $text('points'));
        $own = str_replace(',', '.', $text('own_points'));
        $mark = match (true) {
            $own !== ''
                && ! $criterion instanceof CommentCriterion => new CriterionMark(
                    points: $own, reason: $text('own_reason'),
                ),
            $criterion instanceof LevelCriterion => self::onRail($criterion, $text('stop'), $points),
            $criterion instanceof ScaleCriterion => new CriterionMark(points: $points === '' ? null : $points),
            $criterion instanceof ChecklistCriterion => self::steps($criterion, $form),
            default => new CriterionMark,
        };

        return $mark->withComment($comment);
    }

    /**
     * @throws InvalidInput
     */
    private static function onRail(LevelCriterion $criterion, string $stop, string $points): CriterionMark
    {
        $mark = RailStop::mark($criterion, $stop);
        $level = $mark->level === null ? null : $criterion->level($mark->level);
        if ($level === null || ! $level->isRange()) {
            return $mark;
        }
        // Points left over from another level do not count here: the range has its own, its middle until others are
        // set.
        $isInside = $points !== '' && $criterion->accepts($mark->withPoints($points));

        return $mark->withPoints($isInside ? $points : Figure::plain($level->middle()));
    }

    /**
     * @param  array<array-key, mixed>  $form
     */
    private static function steps(ChecklistCriterion $criterion, array $form): CriterionMark
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
        if ($ticked === [] && $parts === [] && ($form['none'] ?? '') === '') {
            return new CriterionMark;
        }

        return new CriterionMark(done: $ticked, partly: $parts);
    }

    /**
     * The fields a mark fills in, the other way round.
     *
     * @return array<string, mixed> without the comment
     */
    public static function form(Criterion $criterion, CriterionMark $mark): array
    {
        if ($mark->notApplicable) {
            return ['na' => '1'];
        }
        if ($mark->reason !== null) {
            return ['own_points' => $mark->points ?? '', 'own_reason' => $mark->reason];
        }
        if ($criterion instanceof LevelCriterion) {
            foreach (RailStop::of($criterion) as $stop) {
                if ($stop->holds($mark)) {
                    return ['stop' => $stop->key] + (
                        $mark->level !== null && $mark->points !== null ? ['points' => $mark->points] : []
                    );
                }
            }

            return [];
        }
        if ($mark->done !== null) {
            return [
                'done' => array_fill_keys($mark->done, '1'), 'partly' => $mark->partly,
            ] + ($mark->done === [] && $mark->partly === [] ? ['none' => '1'] : []);
        }

        return $mark->points === null ? [] : ['points' => $mark->points];
    }

    /** What a mark says, in words for the people who read it: "Good", "above Fair", "3 of 4 items done". */
    public static function inWords(Criterion $criterion, CriterionMark $mark): string
    {
        if ($mark->notApplicable) {
            return 'does not apply';
        }
        if ($criterion instanceof ChecklistCriterion && $mark->done !== null) {
            $partly = count($mark->partly);

            return count($mark->done).' of '.count($criterion->items).' items done'
                .($partly === 0 ? '' : ", {$partly} partly");
        }
        if (! $criterion instanceof LevelCriterion) {
            return '';
        }
        $points = $criterion->points($mark);
        $level = $points === null ? null : $criterion->reached($points);

        return $level === null ? '' : ($mark->between === null ? '' : 'above ').$level->title;
    }

    /** The range of points a level asks for: "5 to 7"; empty for a single point. */
    public static function range(Level $level): string
    {
        return $level->isRange() ? Figure::plain($level->points).' to '.Figure::plain($level->highest()) : '';
    }
}
