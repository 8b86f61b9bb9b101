<?php

declare(strict_types=1);

namespace App\Actions\Plan\Concerns;

use App\Enums\RubricState;
use App\Exceptions\Refused;
use App\Models\Rubric;
use App\Models\User;
use YoungHarbor\Core\Rubric\Draft;

/**
 * How a working copy is locked and stored, by whichever step it changes.
 */
trait StoresDraft
{
    private function locked(Rubric $rubric): Rubric
    {
        $stored = Rubric::query()->lockForUpdate()->findOrFail($rubric->id);
        if ($stored->state !== RubricState::WorkingCopy) {
            throw new Refused(__('plan.rubric_closed', ['state' => __("plan.rubric_state.{$stored->state->value}")]));
        }

        return $stored;
    }

    private function store(Rubric $stored, Draft $draft, User $user): void
    {
        $title = mb_substr(trim($draft->get('title')), 0, 200);
        $stored->fill(
            [
                'document' => $draft->document, 'title' => $title === '' ? $stored->title : $title,
                'saved_by' => $user->id,
            ]
        );
        $stored->lock_version++;
        $stored->save();
    }
}
