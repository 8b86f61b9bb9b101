<?php

declare(strict_types=1);

namespace App\Queries\Release;

use App\Http\Requests\Release\ModulePlanRequest;
use App\Models\GradeScale;
use App\Models\Module;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Release\PlannedPart;

/**
 * How the mark of a module is made, as its form shows it: a row an assignment, and lists of which the best count.
 */
final class ModulePlanForm
{
    /**
     * @return array<string, mixed>
     */
    public static function of(Module $module): array
    {
        $plan = $module->mark_plan;
        $assignments = $module->assignments()->orderBy('due_at')->orderBy('id')->get(['id', 'public_id', 'title', 'due_at']);
        $rows = $lists = [];
        $letters = ModulePlanRequest::LISTS;
        foreach ($plan->parts as $part) {
            if ($part->best === null) {
                $rows[$part->of[0]] = ['as' => 'own'] + self::figures($part);
                $part->resitOf === null || $rows[$part->resitOf] = [
                    'as' => "resit:{$part->of[0]}", 'cap' => $part->cap === null ? '' : Figure::plain($part->cap),
                ];

                continue;
            }
            $letter = (string) array_shift($letters);
            $lists[$letter] = ['title' => $part->title, 'best' => $part->best] + self::figures($part);
            foreach ($part->of as $id) {
                $rows[$id] = ['as' => "list-{$letter}"];
            }
        }
        $scales = GradeScale::documentsFor($module);
        $kept = array_search($plan->bands->toArray()['name'], array_column($scales, 'name'), true);
        $isKept = $plan->parts !== [] && $kept === false;

        return [
            'module' => $module, 'plan' => $plan, 'assignments' => $assignments, 'rows' => $rows, 'lists' => $lists,
            'scales' => ($isKept ? ['kept' => $plan->bands->name.', as it was'] : [])
                + array_map(fn (array $scale) => $scale['name'], $scales),
            'scale' => $isKept ? 'kept' : array_keys($scales)[$kept === false ? 0 : $kept],
        ];
    }

    /**
     * @return array{weight: string, must_pass: string}
     */
    private static function figures(PlannedPart $part): array
    {
        return [
            'weight' => Figure::plain($part->weight),
            'must_pass' => $part->mustPass === null ? '' : Figure::plain($part->mustPass),
        ];
    }
}
