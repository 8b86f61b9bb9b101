<?php

declare(strict_types=1);

namespace App\Actions\Discuss;

use App\Discussion\TellOfPost;
use App\Models\Post;
use App\Models\PostFlag;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * A reader asks staff to look at a post; nobody else learns of it. The same reader's second flag takes the place of the
 * first while that is open.
 */
final class FlagPost
{
    public function __construct(private readonly TellOfPost $tell)
    {
    }

    public function __invoke(Post $post, User $by, string $reason): void
    {
        DB::transaction(function () use ($post, $by, $reason): void {
            $flag = PostFlag::query()->updateOrCreate(
                ['post_id' => $post->id, 'user_id' => $by->id],
                ['reason' => $reason, 'decided_at' => null, 'decided_by' => null, 'decision' => null],
            );
            $this->tell->flagged($flag->load('post.topic.assignment'));
        });
    }
}
