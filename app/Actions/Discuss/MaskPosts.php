<?php

declare(strict_types=1);

namespace App\Actions\Discuss;

use App\Discussion\PostText;
use App\Discussion\Rolls;
use App\Models\Assignment;
use App\Models\Post;
use Illuminate\Support\Facades\DB;

/**
 * Makes posts anew without names where the people of the discussion are others than when they were written: someone who
 * joined later may be named in what is there.
 */
final class MaskPosts
{
    /**
     * @param  array<int>|null  $ids  those alone; null: all of the discussion
     */
    public function __invoke(Assignment $assignment, ?array $ids = null): void
    {
        if ($ids === []) {
            return;
        }
        $roll = Rolls::of($assignment);
        $stale = Post::query()->whereIn('topic_id', $assignment->topics()->select('id'))->whereNotNull('script_id')
            ->where('roll', '<>', $roll->fingerprint())->when($ids !== null, fn ($query) => $query->whereKey($ids ?? []))
            ->with('versions');
        foreach ($stale->get() as $post) {
            $read = PostText::of($post->text, $roll);
            DB::transaction(function () use ($post, $read, $roll): void {
                Post::query()->whereKey($post->id)->where('lock_version', $post->lock_version)->toBase()->update([
                    'masked' => $read->masked, 'masked_text' => $read->maskedText, 'roll' => $roll->fingerprint(),
                ]);
                foreach ($post->versions as $version) {
                    $version->update(['masked' => PostText::of($version->text, $roll)->masked]);
                }
            });
        }
    }
}
