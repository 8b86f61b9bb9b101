<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Actions\Plan\Concerns\StoresDraft;
use App\Exceptions\Refused;
use App\Exceptions\SavedMeanwhile;
use App\Models\Rubric;
use App\Models\RubricStep;
use App\Models\User;
use Closure;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Formats\RubricJson;
use YoungHarbor\Core\Rubric\Draft;

/**
 * The one way through which a working copy changes: the row is locked, the change is made on what is stored now, and
 * the result is kept as a step that can be undone.
 */
final class EditRubric
{
    use StoresDraft;

    /** Steps that can be undone. */
    public const STEPS = 50;

    /** Writing on in the same field within this many seconds is the same step. */
    private const SAME_STEP = 60;

    /**
     * @param  Closure(Draft): Draft  $change
     * @param  string  $what  the change in words, as it reads after "undo: "
     * @param  string|null  $place  the field written, when it is one
     * @param  int|null  $seen  the lock version a whole form was opened with; null when the change says what it is about
     *
     * @throws Refused|SavedMeanwhile
     */
    public function __invoke(
        Rubric $rubric, User $user, Closure $change, string $what, ?string $place = null, ?int $seen = null,
    ): Rubric {
        return DB::transaction(function () use ($rubric, $user, $change, $what, $place, $seen): Rubric {
            $stored = $this->locked($rubric);
            $before = $stored->draft();
            $after = $change($before);
            if ($seen !== null && $stored->lock_version !== $seen) {
                throw new SavedMeanwhile($stored, $after->document);
            }
            if ($after->document === $before->document) {
                return $stored;
            }
            if (strlen((string) json_encode($after->document)) > RubricJson::MOST_BYTES) {
                throw new Refused(
                    'That is more text than a rubric can hold, so it was not saved. It is still in the page: shorten it, or copy it elsewhere.'
                );
            }
            $this->keepStep($stored, $user, $before, $after, $what, $place);
            $this->store($stored, $after, $user);

            return $stored;
        });
    }

    private function keepStep(
        Rubric $stored, User $user, Draft $before, Draft $after, string $what, ?string $place,
    ): void {
        $now = now();
        $stored->steps()->where('number', '>', $stored->step)->delete();
        $last = $stored->steps()->where('number', $stored->step)
            ->first(['id', 'number', 'place', 'user_id', 'created_at']);
        if (
            $last !== null && $place !== null && $last->place === $place && $last->user_id === $user->id
            && $last->created_at->diffInSeconds($now) < self::SAME_STEP
        ) {
            RubricStep::query()->whereKey($last->id)
                ->update(['document' => json_encode($after->document, JSON_THROW_ON_ERROR)]);

            return;
        }
        if ($last === null) {
            $stored->steps()->create(
                ['number' => $stored->step, 'document' => $before->document, 'created_at' => $now]
            );
        }
        $stored->step++;
        $stored->steps()->create(
            [
                'number' => $stored->step, 'document' => $after->document, 'what' => mb_substr($what, 0, 250),
                'place' => $place, 'user_id' => $user->id, 'created_at' => $now,
            ]
        );
        $stored->steps()->where('number', '<', $stored->step - self::STEPS)->delete();
    }
}
