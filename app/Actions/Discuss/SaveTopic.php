<?php

declare(strict_types=1);

namespace App\Actions\Discuss;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Topic;
use Illuminate\Support\Facades\DB;

/**
 * Adds a topic to a discussion, or changes its words. A prompt that someone has answered stays as it is.
 */
final class SaveTopic
{
    /** Topics of a discussion, at most. */
    public const MOST = 40;

    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  int|null  $seen  the version the form was opened with; null for a new topic
     *
     * @throws Refused
     */
    public function __invoke(Assignment $assignment, ?Topic $topic, string $title, string $prompt, ?int $seen): Topic
    {
        return DB::transaction(function () use ($assignment, $topic, $title, $prompt, $seen): Topic {
            $stored = Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
            $stored->isDiscussion() || throw new Refused(__('discuss.refused.no_discussion'));
            if ($topic === null) {
                $stored->topics()->count() < self::MOST || throw new Refused(__('discuss.refused.too_many_topics', ['most' => self::MOST]), 'title');
                $made = $stored->topics()->create([
                    'title' => $title, 'prompt' => $prompt, 'position' => 1 + (int) $stored->topics()->max('position'),
                ]);
                $this->logbook->write(Entry::of(LogEvent::TopicAdded)->on($stored)->saying(title: $title));

                return $made;
            }
            $own = Topic::query()->lockForUpdate()->findOrFail($topic->id);
            $own->lock_version === $seen || throw new Refused(__('discuss.refused.topic_changed'), 'title');
            $own->fill(['title' => $title, 'prompt' => $prompt]);
            $own->isDirty('prompt') && $own->posts()->exists() && throw new Refused(__('discuss.refused.prompt_answered'), 'prompt');
            if ($own->isDirty()) {
                $own->lock_version++;
                $own->save();
                $this->logbook->write(Entry::of(LogEvent::TopicChanged)->on($stored)->saying(title: $title));
            }

            return $own;
        });
    }
}
