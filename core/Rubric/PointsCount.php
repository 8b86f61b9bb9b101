<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * What each criterion of a draft counts for when the mark is made by points alone.
 */
final class PointsCount
{
    /**
     * @return array<string, string> points by criterion id, and "all" for their sum; "–" where nothing can be said yet
     */
    public static function of(Draft $draft): array
    {
        $counts = ['all' => '–'];
        foreach ($draft->criteria() as $criterion) {
            $counts[$criterion['id']] = '–';
            try {
                // Each by itself, so that a fault in one leaves the others their figure.
                $alone = Rubric::fromArray(
                    ['title' => 'x', 'weighting' => 'points', 'criteria' => [$criterion]] + $draft->document
                );
                $counts[$criterion['id']] = Figure::plain($alone->criteria[0]->max());
            } catch (InvalidInput) {
                continue;
            }
        }
        try {
            $whole = Rubric::fromArray(['weighting' => 'points'] + $draft->document);
            $counts['all'] = Figure::plain(
                WeightBalance::of(array_map(fn (Criterion $criterion) => $criterion->max(), $whole->scored()))->sum
            );
        } catch (InvalidInput) {
            return $counts;
        }

        return $counts;
    }
}
