<?php

declare(strict_types=1);

namespace App\Queries\Plan;

use App\Models\Rubric;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Who has a rubric's sheet open just now. A page tells so every few seconds; who has not for a while is gone.
 */
final class RubricEditors
{
    private const SECONDS = 20;

    public function note(Rubric $rubric, User $user): void
    {
        DB::table('rubric_editors')->upsert(
            [['rubric_id' => $rubric->id, 'user_id' => $user->id, 'seen_at' => now()]], ['rubric_id', 'user_id'],
            ['seen_at'],
        );
    }

    /**
     * @return list<string> names
     */
    public function besides(Rubric $rubric, User $user): array
    {
        return array_values(DB::table('rubric_editors')->join('users', 'users.id', '=', 'rubric_editors.user_id')
            ->where('rubric_id', $rubric->id)->where('user_id', '<>', $user->id)
            ->where('seen_at', '>', now()->subSeconds(self::SECONDS))
            ->orderBy('users.name')->pluck('users.name')->map(strval(...))->all());
    }
}
