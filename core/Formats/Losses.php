<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Formats;

use YoungHarbor\Core\Rubric\CriterionKind;
use YoungHarbor\Core\Rubric\Draft;
use YoungHarbor\Core\Rubric\Weighting;

/**
 * What a rubric makes use of that a foreign format may not hold.
 *
 * @internal
 */
final class Losses
{
    /**
     * @param  array<string, string>  $sentences  by feature, for the features the format cannot hold
     * @return list<string> those that this draft makes use of, with the criteria it concerns
     */
    public static function of(Draft $draft, array $sentences): array
    {
        $lost = [];
        foreach ($sentences as $feature => $sentence) {
            $where = [];
            foreach ($draft->criteria() as $criterion) {
                if (self::uses($draft, $criterion, $feature)) {
                    $where[] = '“'.trim($draft->get("criteria.{$criterion['id']}.title")).'”';
                }
            }
            if ($where !== [] || self::wholeUses($draft, $feature)) {
                $lost[] = $sentence.($where === [] ? '' : ': '.implode(', ', $where));
            }
        }

        return $lost;
    }

    /**
     * @param  array{id: string, ...}  $criterion
     */
    private static function uses(Draft $draft, array $criterion, string $feature): bool
    {
        $id = $criterion['id'];
        $hasLevels = Draft::kindOf($criterion) === CriterionKind::Levels;
        $any = function (string $field) use ($draft, $criterion, $id): bool {
            foreach ($draft->levelsOf($criterion) as $level) {
                if ($draft->get("criteria.{$id}.{$field}.{$level['id']}") !== '') {
                    return true;
                }
            }

            return false;
        };

        return match ($feature) {
            'kinds' => Draft::kindOf($criterion) !== CriterionKind::Levels,
            'own levels' => $hasLevels && isset($criterion['levels']),
            'guidance' => $hasLevels && $any('guidance'),
            'own points' => $hasLevels && $any('overrides'),
            'unused' => $hasLevels && $any('unused'),
            'optional' => $draft->get("criteria.{$id}.optional") !== '',
            'ranges' => $hasLevels
                && array_filter($draft->levelsOf($criterion), fn (array $level) => isset($level['upto'])) !== [],
            default => false,
        };
    }

    private static function wholeUses(Draft $draft, string $feature): bool
    {
        return match ($feature) {
            'points weighting' => $draft->weighting() === Weighting::Points,
            'points hidden' => $draft->get('points_shown') === '',
            default => false,
        };
    }
}
