<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Models\Mark;

/**
 * Keeps where a marker is in a script and how long they have been at work on it. This begins no mark and changes none.
 */
final class TouchMark
{
    /** A page reports at least this often while someone is at work; longer pauses do not count. Seconds. */
    private const PAUSE = 120;

    /**
     * @param  array<string, mixed>|null  $place
     * @param  int  $active  seconds at work since the page last reported, as it counted them
     */
    public function __invoke(Mark $mark, ?array $place, int $active): void
    {
        // Two pages at once, or a clock that runs ahead, count no second twice.
        $since = $mark->touched_at === null ? self::PAUSE : (int) abs($mark->touched_at->diffInSeconds(now()));
        $seconds = $mark->isDone() ? 0 : min($active, $since, self::PAUSE);
        $mark->newQuery()->whereKey($mark->id)->toBase()->update(array_filter([
            'place' => $place === null ? null : json_encode($place, JSON_THROW_ON_ERROR),
            'seconds' => $seconds > 0 ? $mark->seconds + $seconds : null, 'touched_at' => now(),
        ], fn (mixed $value) => $value !== null));
    }
}
