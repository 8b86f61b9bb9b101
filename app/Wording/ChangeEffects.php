<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\Assignment;

/**
 * What a change to an assignment touches once work has come in, in sentences.
 */
final class ChangeEffects
{
    /**
     * @return list<string>
     */
    public function between(Assignment $before, Assignment $after): array
    {
        $in = $after->scripts()->whereNotNull('current_handin_id')->count();
        if ($in === 0) {
            return [];
        }
        $said = [];
        if ($before->due_at?->notEqualTo($after->due_at ?? $before->due_at)) {
            $late = $after->scripts()->whereHas('currentHandin', fn ($query) => $query->where('late', true))->count();
            $said[] = "The later due time holds for everyone, the {$in} who have handed in included; ".(
                $late === 0 ? 'none is late now.' : "{$late} of them ".($late === 1 ? 'is' : 'are').' late now.'
            );
        }
        foreach (
            [
                'late_rule' => 'what late work costs', 'length_rule' => 'what over-length costs', 'cap' => 'the cap',
            ] as $column => $words
        ) {
            if ($before->{$column} !== $after->{$column}) {
                $said[] = ucfirst($words)." is dropped for all {$in} hand-ins; results that are out stay as they are.";
            }
        }
        if (
            $before->overlapSettings() !== $after->overlapSettings()
            || $before->screening->web !== $after->screening->web
        ) {
            $said[] = $in === 1 ? 'The one hand-in is compared again.' : "All {$in} hand-ins are compared again.";
        } elseif (
            $before->screening->quotations !== $after->screening->quotations
            || $before->screening->bibliography !== $after->screening->bibliography
        ) {
            $said[] = 'The figures of all reports are worked out anew; what readers chose on a report stays.';
        }
        foreach (
            [
                'joins_archive' => 'that work is kept for later cohorts to be compared with',
                'web' => 'that the open web is asked',
            ] as $field => $what
        ) {
            if ($before->screening->toArray()[$field] === false && $after->screening->toArray()[$field] === true) {
                $said[] = "Students are told {$what} where they hand in; the {$in} who have handed in were not told, so write to them.";
            }
        }
        if ($before->brief !== $after->brief) {
            $said[] = "The {$in} who have handed in wrote to the brief as it was before.";
        }

        return $said;
    }
}
