<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Models\Result;
use Illuminate\Support\Facades\DB;

/**
 * Records for how long a result was in front of its student.
 */
final class RecordReadingTime
{
    /** The page reports this often, in seconds; a gap longer than twice that is not counted as reading. */
    public const EVERY = 20;

    /**
     * @param  list<string>  $seen  ids of comments that came into view since
     */
    public function __invoke(Result $result, array $seen = []): void
    {
        DB::transaction(function () use ($result, $seen): void {
            $stored = Result::query()->lockForUpdate()->findOrFail($result->id);
            $since = (int) abs(now()->diffInSeconds($stored->last_opened_at ?? now()));
            $stored->forceFill([
                'seconds_open' => $stored->seconds_open + min($since, 2 * self::EVERY), 'last_opened_at' => now(),
            ])->save();
            $there = array_column($stored->document['comments'] ?? [], 'id');
            DB::table('comment_views')->insertOrIgnore(array_map(fn (string $comment) => [
                'result_id' => $stored->id, 'comment' => $comment, 'seen_at' => now(),
            ], array_values(array_intersect($there, $seen))));
        });
    }
}
