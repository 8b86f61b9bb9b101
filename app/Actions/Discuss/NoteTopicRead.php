<?php

declare(strict_types=1);

namespace App\Actions\Discuss;

use App\Models\Topic;
use App\Models\TopicReader;
use App\Models\User;

/**
 * Notes how far someone has read in a topic.
 */
final class NoteTopicRead
{
    /**
     * @param  int  $to  the newest post they were shown
     * @return int up to which they had been shown posts before
     */
    public function __invoke(Topic $topic, User $by, int $to): int
    {
        $known = TopicReader::query()->firstOrCreate(
            ['topic_id' => $topic->id, 'user_id' => $by->id], ['read_to' => 0, 'created_at' => now()],
        );
        $before = $known->read_to ?? 0;
        $to > $before && TopicReader::query()->whereKey($known->id)->update(['read_to' => $to]);

        return $before;
    }
}
