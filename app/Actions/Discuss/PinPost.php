<?php

declare(strict_types=1);

namespace App\Actions\Discuss;

use App\Exceptions\Refused;
use App\Models\Post;

/**
 * Keeps a post at the top of its topic, or lets it go back to its place.
 */
final class PinPost
{
    /**
     * @throws Refused for a reply, or one that students cannot read
     */
    public function __invoke(Post $post, bool $pinned): void
    {
        $post->isReply() && throw new Refused(__('discuss.refused.pin_reply'));
        $pinned && ! $post->stands() && throw new Refused(__('discuss.refused.pin_gone'));
        $post->update(['pinned_at' => $pinned ? $post->pinned_at ?? now() : null]);
    }
}
