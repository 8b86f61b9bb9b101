<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Figures\Working;
use YoungHarbor\Core\Figures\WorkingLine;

/**
 * How a marker's total on a rubric came about, criterion by criterion.
 */
final class ScoreWorking
{
    /** The working of one marker's total on a rubric. */
    public static function of(Score $score, Weighting $weighting, int $decimals): Working
    {
        $lines = [];
        $left = 0;
        foreach ($score->lines as $line) {
            if (! $line->applicable) {
                $left++;
                $lines[] = new WorkingLine($line->criterion->title(), 'does not apply to this script', '–');

                continue;
            }
            if ($line->points === null) {
                $lines[] = new WorkingLine($line->criterion->title(), 'not yet marked', '0');

                continue;
            }
            $most = Figure::plain($line->criterion->max());
            $points = Figure::plain($line->points).' of '.$most.(
                $weighting === Weighting::Percent && $line->criterion instanceof LevelCriterion
                && $line->criterion->stopsShort() ? " ({$most} counts as 100 %)" : ''
            );
            $lines[] = new WorkingLine(
                $line->criterion->title(),
                $weighting === Weighting::Points
                    ? $points.' points'
                    : $points.' × '.Figure::shown($line->effectiveWeight).' %',
                Figure::shown($line->contribution),
            );
        }
        $how = (
            $score->exact->isEqualTo($score->total)
                ? 'sum, exact, shown to '
                : 'sum '.Figure::shown($score->exact).', rounded half up to '
        ).$decimals.' '.($decimals === 1 ? 'decimal' : 'decimals');
        if ($left > 0 && $weighting === Weighting::Percent) {
            $how .= '; the remaining weights were rescaled to 100';
        }
        $lines[] = new WorkingLine('Total', $how, $score->total.' of '.Figure::plain($score->outOf));

        if (! $score->outOf->isEqualTo(100)) {
            $lines[] = new WorkingLine(
                'Out of 100', 'the exact sum × 100 ÷ '.Figure::plain($score->outOf).', rounded half up',
                (string) $score->percent(),
            );
        }

        return new Working($lines);
    }
}
