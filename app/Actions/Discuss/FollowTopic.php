<?php

declare(strict_types=1);

namespace App\Actions\Discuss;

use App\Models\Topic;
use App\Models\TopicReader;
use App\Models\User;

/**
 * Whether someone wants to hear of what is posted in a topic.
 */
final class FollowTopic
{
    public function __invoke(Topic $topic, User $by, bool $follows): void
    {
        $known = TopicReader::query()->firstOrCreate(
            ['topic_id' => $topic->id, 'user_id' => $by->id], ['follows' => $follows, 'created_at' => now()],
        );
        $known->update(['follows' => $follows]);
    }
}
