<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Formats;

use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Rubric\Criterion;
use YoungHarbor\Core\Rubric\CriterionScore;
use YoungHarbor\Core\Rubric\Score;

/**
 * A score as a JSON document: decimals as strings, contributions and effective weights cut to six decimals.
 */
final class ScoreJson
{
    /**
     * @return array{total: string, out_of: string, complete: bool, missing: list<string>, criteria: list<array{id: string, points: string|null, max: string, weight: string, effective_weight: string, contribution: string}>}
     */
    public static function of(Score $score): array
    {
        return [
            'total' => (string) $score->total,
            'out_of' => Figure::plain($score->outOf),
            'complete' => $score->isComplete(),
            'missing' => array_map(fn (Criterion $criterion) => $criterion->id(), $score->missing()),
            'criteria' => array_map(fn (CriterionScore $line) => [
                'id' => $line->criterion->id(),
                'points' => $line->points === null ? null : Figure::plain($line->points),
                'max' => Figure::plain($line->criterion->max()),
                'weight' => Figure::plain($line->weight),
                'effective_weight' => Figure::cut($line->effectiveWeight),
                'contribution' => Figure::cut($line->contribution),
            ], $score->lines),
        ];
    }
}
