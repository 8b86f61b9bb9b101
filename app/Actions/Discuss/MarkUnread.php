<?php

declare(strict_types=1);

namespace App\Actions\Discuss;

use App\Models\Post;
use App\Models\TopicReader;
use App\Models\User;

/**
 * Takes a post, and what came after it in its topic, as not read.
 */
final class MarkUnread
{
    public function __invoke(Post $post, User $by): void
    {
        TopicReader::query()->updateOrCreate(
            ['topic_id' => $post->topic_id, 'user_id' => $by->id], ['read_to' => $post->id - 1, 'created_at' => now()],
        );
    }
}
