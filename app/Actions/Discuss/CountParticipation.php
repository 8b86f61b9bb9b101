<?php

declare(strict_types=1);

namespace App\Actions\Discuss;

use App\Models\Participation;
use App\Models\Post;
use App\Models\Script;
use YoungHarbor\Core\Discussion\Participation as Counted;
use YoungHarbor\Core\Discussion\Settings;

/**
 * Writes what a student has posted, in numbers, in the transaction of what changed it.
 */
final class CountParticipation
{
    public function __invoke(Script $script, Settings $asked): Counted
    {
        $pieces = Post::query()->where('script_id', $script->id)->whereNull('taken_back_at')
            ->get(['thread_id', 'words', 'created_at'])->map(fn (Post $one) => [
                'reply' => $one->isReply(), 'words' => $one->words, 'at' => $one->created_at->toDateTimeImmutable(),
            ]);
        $counted = Counted::of(array_values($pieces->all()), $asked);
        Participation::query()->updateOrCreate(['script_id' => $script->id], [
            'posts' => $counted->posts, 'replies' => $counted->replies, 'short' => $counted->short,
            'words' => $counted->words, 'first_at' => $counted->first, 'below' => $counted->isBelow($asked),
        ]);

        return $counted;
    }
}
