<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Enums\RubricState;
use App\Exceptions\Refused;
use App\Exceptions\SavedMeanwhile;
use App\Models\Rubric;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Saves a working copy, unless someone else has saved it since it was opened: then neither version is lost.
 */
final class SaveRubric
{
    /**
     * @param  array<string, mixed>  $document
     * @param  int  $seen  the lock version the editor started from
     *
     * @throws Refused|SavedMeanwhile
     */
    public function __invoke(Rubric $rubric, array $document, int $seen, User $user): Rubric
    {
        return DB::transaction(function () use ($rubric, $document, $seen, $user): Rubric {
            $stored = Rubric::query()->lockForUpdate()->findOrFail($rubric->id);
            if ($stored->state !== RubricState::WorkingCopy) {
                throw new Refused("This rubric is {$stored->state->value}; a ready rubric does not change. Make a new working copy of it to go on.");
            }
            if ($stored->lock_version !== $seen) {
                throw new SavedMeanwhile($stored, $document);
            }
            $stored->fill(['document' => $document, 'title' => $this->title($document, $stored), 'saved_by' => $user->id]);
            if ($stored->isDirty(['document', 'title'])) {
                $stored->lock_version++;
                $stored->save();
            }

            return $stored;
        });
    }

    /**
     * @param  array<string, mixed>  $document
     */
    private function title(array $document, Rubric $stored): string
    {
        $title = is_string($document['title'] ?? null) ? trim($document['title']) : '';

        return $title === '' ? $stored->title : mb_substr($title, 0, 200);
    }
}
