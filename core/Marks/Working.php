<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

use YoungHarbor\Core\Rubric\LevelCriterion;
use YoungHarbor\Core\Rubric\Score;
use YoungHarbor\Core\Rubric\Weighting;

/**
 * How a number came about, step by step.
 */
final readonly class Working
{
    /**
     * @param  list<WorkingLine>  $lines
     */
    public function __construct(public array $lines)
    {
    }

    /** The working of one marker's total on a rubric. */
    public static function ofScore(Score $score, Weighting $weighting, int $decimals): self
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
            $points = Figure::plain($line->points).' of '.$most.($weighting === Weighting::Percent && $line->criterion instanceof LevelCriterion && $line->criterion->stopsShort() ? " ({$most} counts as 100 %)" : '');
            $lines[] = new WorkingLine(
                $line->criterion->title(),
                $weighting === Weighting::Points ? $points.' points' : $points.' × '.Figure::shown($line->effectiveWeight).' %',
                Figure::shown($line->contribution),
            );
        }
        $how = ($score->exact->isEqualTo($score->total) ? 'sum, exact, shown to ' : 'sum '.Figure::shown($score->exact).', rounded half up to ').$decimals.' '.($decimals === 1 ? 'decimal' : 'decimals');
        if ($left > 0 && $weighting === Weighting::Percent) {
            $how .= '; the remaining weights were rescaled to 100';
        }
        $lines[] = new WorkingLine('Total', $how, $score->total.' of '.Figure::plain($score->outOf));

        if (! $score->outOf->isEqualTo(100)) {
            $lines[] = new WorkingLine('Out of 100', 'the exact sum × 100 ÷ '.Figure::plain($score->outOf).', rounded half up', (string) $score->percent());
        }

        return new self($lines);
    }

    public function then(WorkingLine $line): self
    {
        return new self([...$this->lines, $line]);
    }

    /**
     * @return list<array{what: string, how: string, result: string}>
     */
    public function toArray(): array
    {
        return array_map(fn (WorkingLine $line) => $line->toArray(), $this->lines);
    }
}
