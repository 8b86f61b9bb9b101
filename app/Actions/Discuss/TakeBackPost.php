<?php

declare(strict_types=1);

namespace App\Actions\Discuss;

use App\Exceptions\Refused;
use App\Models\Post;
use Illuminate\Support\Facades\DB;

/**
 * Takes a post back: its place stays, with a word that it was taken back; staff can still read it. What was marked when
 * the discussion closed stays as it was then.
 */
final class TakeBackPost
{
    public function __construct(private readonly CountParticipation $count)
    {
    }

    /**
     * @throws Refused once the discussion ended for its writer
     */
    public function __invoke(Post $post): void
    {
        DB::transaction(function () use ($post): void {
            $stored = Post::query()->with('topic.assignment', 'script')->lockForUpdate()->findOrFail($post->id);
            if ($stored->taken_back_at !== null) {
                return;
            }
            $stored->hidden_at === null || throw new Refused(__('discuss.refused.change_hidden'));
            $stored->script?->setRelation('assignment', $stored->topic->assignment);
            $closes = $stored->script?->closesDiscussionAt();
            $closes !== null && $closes->isPast() && $stored->created_at->lte($closes)
                && throw new Refused(__('discuss.refused.back_late'));
            $stored->update(['taken_back_at' => now(), 'pinned_at' => null, 'lock_version' => $stored->lock_version + 1]);
            $stored->script === null || ($this->count)($stored->script, $stored->topic->assignment->discussion);
        });
    }
}
