<?php

declare(strict_types=1);

namespace App\Queries\Plan;

use App\Enums\Role;
use App\Models\Assignment;
use App\Models\Module;
use App\Wording\LocalTime;
use Carbon\CarbonInterface;

/**
 * What needs a decision in a module that was copied from another, until its assignments are open.
 */
final class CopyDecisions
{
    /**
     * @return list<array{what: string, link: string}>
     */
    public static function of(Module $module): array
    {
        if ($module->copied_from_id === null) {
            return [];
        }
        $found = [];
        foreach ([Role::Student, Role::Tutor] as $role) {
            $module->members()->where('role', $role)->exists() || $found[] = [
                'what' => __("copy.no_{$role->value}"), 'link' => route('people.index', $module),
            ];
        }
        $module->closureDays()->exists()
            || $found[] = ['what' => __('copy.no_closure_days'), 'link' => route('closure-days.index', $module)];
        $closed = array_flip($module->closedOn());
        foreach ($module->assignments()->with('rubricVersion.rubric')->orderBy('due_at')->orderBy('id')->get() as $assignment) {
            foreach (self::ofAssignment($assignment, $closed) as $what) {
                $found[] = ['what' => "{$assignment->title}: {$what}", 'link' => route('plan.edit', $assignment)];
            }
        }

        return $found;
    }

    /**
     * @param  array<string, int>  $closed  days, as Y-m-d
     * @return list<string>
     */
    private static function ofAssignment(Assignment $assignment, array $closed): array
    {
        if ($assignment->isPublished()) {
            return [];
        }
        $said = [__('copy.not_open')];
        foreach (['due_at' => 'due', 'closes_at' => 'closes'] as $field => $what) {
            $day = $assignment->{$field};
            if ($day instanceof CarbonInterface) {
                $local = $day->copy()->setTimezone(LocalTime::zone());
                match (true) {
                    $local->isPast() => $said[] = __("copy.{$what}_past", ['day' => LocalTime::shown($day)]),
                    $local->isWeekend() => $said[] = __("copy.{$what}_weekend", ['day' => LocalTime::shown($day)]),
                    isset($closed[$local->format('Y-m-d')]) => $said[] = __("copy.{$what}_closed", ['day' => LocalTime::shown($day)]),
                    default => null,
                };
            }
        }
        if ($assignment->rubricVersion === null) {
            $said[] = __('copy.no_rubric');
        } elseif ($assignment->rubricVersion->rubric->module_id !== null
            && $assignment->rubricVersion->rubric->module_id !== $assignment->module_id) {
            $said[] = __('copy.rubric_elsewhere', ['rubric' => $assignment->rubricVersion->rubric->title]);
        }

        return $said;
    }
}
