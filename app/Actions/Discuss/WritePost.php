<?php

declare(strict_types=1);

namespace App\Actions\Discuss;

use App\Actions\Discuss\Concerns\RefusesWriting;
use App\Discussion\DiscussionReader;
use App\Discussion\PostFiles;
use App\Discussion\PostText;
use App\Discussion\Rolls;
use App\Discussion\TellOfPost;
use App\Exceptions\Refused;
use App\Models\Post;
use App\Models\Script;
use App\Models\Topic;
use App\Models\TopicReader;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;

/**
 * Posts in a topic, or answers there. What was sent twice is posted once.
 */
final class WritePost
{
    use RefusesWriting;

    public function __construct(
        private readonly PostFiles $files,
        private readonly CountParticipation $count,
        private readonly TellOfPost $tell,
    ) {
    }

    /**
     * @param  Post|null  $answers  what it answers; null: it begins a thread
     * @param  list<array{file: UploadedFile, description: string}>  $files
     * @param  string|null  $room  the room it was written in; for staff the one it goes to
     * @param  string|null  $once  made by the page
     *
     * @throws Refused in words, with what to do; the words stay with whoever wrote them
     */
    public function __invoke(
        Topic $topic, User $by, string $text, ?Post $answers = null, array $files = [], ?string $room = null,
        ?string $once = null,
    ): Post {
        $before = $once === null ? null : Post::query()->where('author_id', $by->id)->where('once', $once)->first();
        if ($before !== null) {
            return $before;
        }
        $assignment = $topic->assignment;
        $reader = DiscussionReader::of($by, $assignment);
        $this->refuseWriting($reader);
        $roll = Rolls::of($assignment);
        $read = $reader->isStaff() ? PostText::ofStaff($text) : PostText::of($text, $roll);
        $this->refuseText($text, $read->words);
        $rows = $this->files->take($assignment, $files, $reader->isStaff() || $assignment->discussion->names);
        try {
            return DB::transaction(function () use (
                $topic, $by, $text, $answers, $rows, $room, $once, $reader, $roll, $read,
            ): Post {
                // One at a time for each writer; what the same page sent twice at once waits here.
                User::query()->lockForUpdate()->findOrFail($by->id);
                $twin = $once === null ? null : Post::query()->where('author_id', $by->id)->where('once', $once)->first();
                if ($twin !== null) {
                    $this->files->drop($rows);

                    return $twin;
                }
                $topic = Topic::query()->sharedLock()->findOrFail($topic->id);
                $topic->setRelation('assignment', $reader->assignment);
                $topic->closed_at === null || $reader->isStaff() || throw new Refused(__('discuss.refused.topic_closed'), 'text');
                $room = $this->room($reader, $room);
                $answers = $answers === null ? null : $this->answered($answers, $topic, $room, $reader);
                $thread = $answers === null ? null : $this->thread($answers);
                $post = Post::query()->create([
                    'topic_id' => $topic->id, 'room' => $room, 'author_id' => $by->id, 'script_id' => $reader->script?->id,
                    'thread_id' => $thread?->id, 'parent_id' => $answers?->id, 'place' => $thread === null ? 0 : $thread->replies + 1,
                    'text' => $text, 'html' => $read->html, 'masked' => $read->masked, 'masked_text' => $read->maskedText,
                    'words' => $read->words, 'roll' => $roll->fingerprint(), 'once' => $once,
                ]);
                $thread?->increment('replies');
                $rows === [] || $post->files()->createMany($rows);
                $post->setRelation('topic', $topic)->setRelation('author', $by)->setRelation('script', $reader->script);
                $this->follows($topic, $by);
                if ($reader->script !== null) {
                    ($this->count)($reader->script, $reader->assignment->discussion);
                    $this->opened($reader->script);
                }
                $this->tell->of($post, $answers);

                return $post;
            });
        } catch (\Throwable $e) {
            $this->files->drop($rows);
            throw $e;
        }
    }

    /** The room it goes to: a student's is theirs now, which can be another than when they began to write. */
    private function room(DiscussionReader $reader, ?string $asked): string
    {
        if ($reader->isStaff()) {
            return in_array((string) $asked, $reader->rooms(), true)
                ? (string) $asked
                : throw new Refused(__('discuss.refused.no_room'), 'text');
        }
        $asked === null || $asked === $reader->room || throw new Refused(__('discuss.refused.moved', [
            'before' => $asked === '' ? __('discuss.no_room') : $asked,
            'now' => $reader->room === '' ? __('discuss.no_room') : $reader->room,
        ]), 'text');

        return $reader->room;
    }

    private function answered(Post $answers, Topic $topic, string $room, DiscussionReader $reader): Post
    {
        $stored = Post::query()->with('topic')->findOrFail($answers->id);
        $stored->topic->setRelation('assignment', $reader->assignment);
        match (true) {
            $stored->topic_id !== $topic->id => throw new Refused(__('discuss.refused.post_moved', ['topic' => $stored->topic->title]), 'text'),
            $stored->taken_back_at !== null => throw new Refused(__('discuss.refused.taken_back'), 'text'),
            $stored->hidden_at !== null => throw new Refused(__('discuss.refused.hidden'), 'text'),
            ! $reader->canSee($stored), $stored->room !== $room => throw new Refused(__('discuss.refused.not_yours'), 'text'),
            default => null,
        };

        return $stored;
    }

    /** The post that began the thread, locked: replies are numbered in it. */
    private function thread(Post $answers): Post
    {
        return Post::query()->lockForUpdate()->findOrFail($answers->thread_id ?? $answers->id);
    }

    /** Whoever writes in a topic hears of it, unless they said no before. */
    private function follows(Topic $topic, User $by): void
    {
        $known = TopicReader::query()->where('topic_id', $topic->id)->where('user_id', $by->id)->first();
        $hasBefore = Post::query()->where('topic_id', $topic->id)->where('author_id', $by->id)->skip(1)->take(1)->exists();
        $known === null || ! $hasBefore
            ? TopicReader::query()->updateOrCreate(
                ['topic_id' => $topic->id, 'user_id' => $by->id],
                ['follows' => true, 'created_at' => $known->created_at ?? now()],
            )
            : null;
    }

    private function opened(Script $script): void
    {
        $script->brief_opened_at === null && Script::query()->whereKey($script->id)->update(['brief_opened_at' => now()]);
    }
}
