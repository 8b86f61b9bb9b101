<?php

declare(strict_types=1);

namespace App\Actions\Discuss;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Topic;
use App\Models\TopicReader;
use Illuminate\Support\Facades\DB;

/**
 * Takes a topic away in which nobody has written.
 */
final class RemoveTopic
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(Topic $topic): void
    {
        DB::transaction(function () use ($topic): void {
            $stored = Topic::query()->lockForUpdate()->findOrFail($topic->id);
            $stored->posts()->exists() && throw new Refused(__('discuss.refused.topic_written'));
            TopicReader::query()->where('topic_id', $stored->id)->delete();
            $this->logbook->write(
                Entry::of(LogEvent::TopicTaken)->on($stored->assignment)->saying(title: $stored->title),
            );
            $stored->delete();
        });
    }
}
