<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Models\Script;
use App\Models\TypedText;
use Illuminate\Support\Facades\DB;

/**
 * Keeps what a student types, as they type it. Written on another device meanwhile, neither takes the place of the
 * other by itself.
 */
final class KeepTypedText
{
    /**
     * @param  int|null  $seen  the version the page was opened with; null to keep it whatever was kept before
     * @return int|null the version it is now; null when it was changed elsewhere, and nothing was kept
     */
    public function __invoke(Script $script, string $text, ?int $seen): ?int
    {
        return DB::transaction(function () use ($script, $text, $seen): ?int {
            $kept = TypedText::query()->where('script_id', $script->id)->where('student_id', $script->student_id)
                ->lockForUpdate()->first();
            $was = $kept->lock_version ?? 0;
            if ($seen !== null && $was !== $seen) {
                return null;
            }
            TypedText::query()->updateOrCreate(
                ['script_id' => $script->id, 'student_id' => $script->student_id],
                ['text' => $text, 'lock_version' => $was + 1],
            );

            return $was + 1;
        });
    }
}
