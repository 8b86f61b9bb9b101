<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Assignment;

/**
 * What a change to an assignment touches once work has come in, in sentences.
 */
final class Touches
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
            $said[] = "The later due time holds for everyone, the {$in} who have handed in included; ".($late === 0 ? 'none is late now.' : "{$late} of them ".($late === 1 ? 'is' : 'are').' late now.');
        }
        foreach (['late_rule' => 'what late work costs', 'length_rule' => 'what over-length costs', 'cap' => 'the cap'] as $column => $words) {
            if ($before->{$column} !== $after->{$column}) {
                $said[] = ucfirst($words)." is dropped for all {$in} hand-ins; results that are out stay as they are.";
            }
        }
        if ($before->overlap_min_words !== $after->overlap_min_words) {
            $said[] = 'Overlap reports still show runs of '.$before->overlap_min_words.' words until they are compared again under Screen.';
        }
        if ($before->brief !== $after->brief) {
            $said[] = "The {$in} who have handed in wrote to the brief as it was before.";
        }

        return $said;
    }
}
