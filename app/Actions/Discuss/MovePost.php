<?php

declare(strict_types=1);

namespace App\Actions\Discuss;

use App\Discussion\TellOfPost;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Post;
use App\Models\Topic;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Moves what began a thread, with all its replies, to another topic of the discussion. Its writer is told.
 */
final class MovePost
{
    public function __construct(private readonly Logbook $logbook, private readonly TellOfPost $tell)
    {
    }

    /**
     * @throws Refused for a reply by itself, which would answer nothing there
     */
    public function __invoke(Post $post, Topic $to, User $by): void
    {
        DB::transaction(function () use ($post, $to, $by): void {
            $stored = Post::query()->with('topic.assignment.module', 'author', 'script')->lockForUpdate()->findOrFail($post->id);
            $stored->isReply() && throw new Refused(__('discuss.refused.move_reply'));
            $to->assignment_id === $stored->topic->assignment_id || throw new Refused(__('discuss.refused.move_away'));
            if ($to->id === $stored->topic_id) {
                return;
            }
            $from = $stored->topic;
            Post::query()->where('thread_id', $stored->id)->orWhere('id', $stored->id)->update(['topic_id' => $to->id]);
            $stored->refresh()->load('topic.assignment.module', 'author', 'script');
            $this->tell->moved($stored, $from);
            $stored->script?->setRelation('assignment', $stored->topic->assignment);
            $this->logbook->write(Entry::of(LogEvent::PostMoved)->on($stored->script ?? $stored->topic->assignment)
                ->saying(title: $to->title)->by($by));
        });
    }
}
