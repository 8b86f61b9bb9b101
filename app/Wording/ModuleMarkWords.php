<?php

declare(strict_types=1);

namespace App\Wording;

use Illuminate\Support\Arr;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Marks\BoundaryRule;
use YoungHarbor\Core\Release\ModulePlan;
use YoungHarbor\Core\Release\PlannedPart;
use YoungHarbor\Core\Release\StillNeeded;

/**
 * How a module mark is made, and what is still needed for one, in words.
 */
final class ModuleMarkWords
{
    /**
     * @return list<string>
     */
    public static function rules(ModulePlan $plan): array
    {
        $must = array_filter($plan->parts, fn (PlannedPart $part) => $part->mustPass !== null);

        return array_values(array_filter([
            __('module-mark.rule.rounded', ['decimals' => trans_choice('module-mark.decimals', $plan->decimals, ['count' => $plan->decimals])]),
            __('module-mark.rule.pass', ['pass' => Figure::plain($plan->pass)]).($must === [] ? '.' : ', '.__('module-mark.rule.must', [
                'what' => Arr::join(array_map(
                    fn (PlannedPart $part) => Figure::plain($part->mustPass ?? $plan->pass)." in {$part->title}", $must,
                ), ', ', ' and '),
            ])),
            __('module-mark.rule.bands', ['bands' => $plan->bands->name]).' '.__(
                'module-mark.rule.'.($plan->bands->boundary === BoundaryRule::WholeMarks ? 'whole' : 'stands'),
            ),
            $plan->borderline->isZero() ? __('module-mark.rule.no_borderline')
                : __('module-mark.rule.borderline', ['marks' => Figure::plain($plan->borderline)]),
        ]));
    }

    /**
     * @param  array<string, string>  $titles  of assignments
     * @return list<array{title: string, weight: string, of: array<string, string>}>
     */
    public static function parts(ModulePlan $plan, array $titles): array
    {
        return array_map(fn (PlannedPart $part) => [
            'title' => $part->title.($part->best === null ? '' : ", best {$part->best} of ".count($part->of)),
            'weight' => Figure::plain($part->weight),
            'of' => array_combine(
                $of = [...$part->of, ...($part->resitOf === null ? [] : [$part->resitOf])],
                array_map(fn (string $id) => ($titles[$id] ?? '?').($id === $part->resitOf ? ' (resit'.(
                    $part->cap === null ? '' : ', capped at '.Figure::plain($part->cap)
                ).')' : ''), $of),
            ),
        ], $plan->parts);
    }

    /**
     * @param  array<string, string>  $titles  of assignments
     */
    public static function needed(?StillNeeded $needed, string $target, array $titles): string
    {
        if ($needed === null) {
            return __('module-mark.nothing_left');
        }
        $what = Arr::join(array_map(fn (string $id) => $titles[$id] ?? '?', $needed->open), ', ', ' and ');
        $of = ['what' => $what, 'target' => $target, 'mark' => (string) $needed->mark];

        return match (true) {
            $needed->mark === null => __('module-mark.not_reachable', $of),
            $needed->mark->isZero() => trans_choice('module-mark.needed_any', count($needed->open), $of),
            default => trans_choice('module-mark.needed', count($needed->open), $of),
        };
    }
}
