<?php

declare(strict_types=1);

namespace App\Queries\Discuss;

use App\Discussion\DiscussionReader;
use App\Models\Post;
use App\Models\Topic;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/**
 * What the page of a topic shows: a page of its threads, those kept at the top first, then the newest, each with its
 * first
 * replies. The same number of queries, each by an index, for 50 posts as for 2,000.
 */
final readonly class TopicPage
{
    /** Threads of a page. */
    public const THREADS = 15;

    /** Replies shown with a thread at once, and at each "more". */
    public const REPLIES = 5;

    public const MORE = 50;

    /**
     * @param  Collection<int, Post>  $threads
     * @param  array<int, Collection<int, Post>>  $replies  by thread, the first of each
     * @param  array<int, int>  $unread  by thread, replies that this reader was not shown and that are not shown here
     * @param  Post|null  $alone  the one thread that is shown, when one was asked for
     * @param  string|null  $earlier  from which thread on the next page goes
     */
    private function __construct(
        public Topic $topic, public DiscussionReader $reader, public string $room, public int $readTo,
        public int $newest,
        public Collection $threads, public array $replies, public array $unread, public ?Post $alone,
        public ?string $earlier,
    ) {
    }

    /**
     * @param  int  $readTo  up to which post the reader was shown the topic before
     * @param  string|null  $before  public id of the last thread of the page before
     * @param  Post|null  $alone  one thread instead of a page of them
     */
    public static function of(
        DiscussionReader $reader, Topic $topic, string $room, int $readTo, ?string $before = null, ?Post $alone = null,
    ): self {
        $threads = $alone !== null ? (new Post)->newCollection(
            [self::with($reader->posts($topic, $room))->findOrFail($alone->id)],
        )
            : self::threads($reader, $topic, $room, $before);
        $more = $threads->count() > self::THREADS;
        $threads = $threads->take(self::THREADS);
        $replies = [];
        if ($threads->isNotEmpty()) {
            $first = self::with($reader->posts($topic, $room)->whereIn('thread_id', $threads->modelKeys()))
                ->where('place', '<=', $alone === null ? self::REPLIES : self::MORE)->orderBy('thread_id')->orderBy('place')->get();
            $replies = $first->groupBy('thread_id')->all();
        }
        $shown = array_map(fn (Collection $some): int => (int) $some->max('place'), $replies);
        $unread = [];
        $new = $reader->posts($topic, $room)->whereIn('thread_id', $threads->modelKeys())->where('id', '>', $readTo)
            ->where('author_id', '<>', $reader->person->id)->toBase()->get(['thread_id', 'place']);
        foreach ($new as $one) {
            $one->place > (
                $shown[$one->thread_id] ?? 0
            ) && $unread[$one->thread_id] = 1 + ($unread[$one->thread_id] ?? 0);
        }
        self::knowTheirTopic([...$threads->all(), ...array_merge(
            ...array_map(fn (Collection $some) => $some->all(), array_values($replies)),
        )], $topic);

        return new self(
            $topic, $reader, $room, $readTo, (int) $reader->posts($topic, $room)->max('id'), $threads, $replies,
            $unread, $alone, $more ? $threads->last()?->public_id : null,
        );
    }

    /**
     * @return list<Post> threads and replies alike
     */
    public function shown(): array
    {
        return [...$this->threads->all(), ...array_merge(
            ...array_map(fn (Collection $some) => $some->all(), array_values($this->replies)),
        )];
    }

    /**
     * Threads that were begun after one that is shown.
     *
     * @return Collection<int, Post>
     */
    public static function newer(DiscussionReader $reader, Topic $topic, string $room, int $after): Collection
    {
        $found = self::with($reader->posts($topic, $room)->whereNull('thread_id')->where('id', '>', $after))->orderByDesc('id')
            ->limit(self::MORE)->get();
        self::knowTheirTopic($found->all(), $topic);

        return $found;
    }

    /**
     * Replies of a thread behind those that are shown.
     *
     * @return Collection<int, Post>
     */
    public static function further(DiscussionReader $reader, Post $thread, int $after): Collection
    {
        $found = self::with($reader->posts($thread->topic, $thread->room)->where('thread_id', $thread->id))
            ->where('place', '>', $after)->orderBy('place')->limit(self::MORE)->get();
        self::knowTheirTopic($found->all(), $thread->topic);

        return $found;
    }

    /**
     * What was posted after a post by others: how many threads, and how many replies in which.
     *
     * @return array{newest: int, threads: int, replies: array<string, int>}
     */
    public static function news(DiscussionReader $reader, Topic $topic, string $room, int $after): array
    {
        $new = $reader->posts($topic, $room)->where('id', '>', $after)->where('author_id', '<>', $reader->person->id)
            ->with('thread:id,public_id')->orderBy('id')->limit(500)->get(['id', 'thread_id']);
        $replies = [];
        foreach ($new as $one) {
            $one->thread === null || $replies[$one->thread->public_id] = 1 + ($replies[$one->thread->public_id] ?? 0);
        }

        return [
            'newest' => (int) ($new->max('id') ?? $after), 'threads' => $new->whereNull('thread_id')->count(), 'replies' => $replies,
        ];
    }

    /**
     * @return Collection<int, Post>
     */
    private static function threads(DiscussionReader $reader, Topic $topic, string $room, ?string $before): Collection
    {
        $threads = self::with($reader->posts($topic, $room)->whereNull('thread_id'));
        $from = $before === null ? null
            : $reader->posts($topic, $room)->where('public_id', $before)->whereNull('thread_id')->first(['id']);
        if ($from !== null) {
            return $threads->whereNull('pinned_at')->where('id', '<', $from->id)->orderByDesc('id')->limit(self::THREADS + 1)->get();
        }
        // Those kept at the top are few, and no part of the pages behind.
        $top = (clone $threads)->whereNotNull('pinned_at')->orderByDesc('pinned_at')->limit(self::THREADS)->get();

        return $top->concat(
            $threads->whereNull('pinned_at')->orderByDesc('id')->limit(max(1, self::THREADS + 1 - $top->count()))->get()
        );
    }

    /**
     * @param  Builder<Post>  $posts
     * @return Builder<Post>
     */
    private static function with(Builder $posts): Builder
    {
        return $posts->with(
            'author:id,name', 'script:id,code,public_id,closes_at,due_at', 'files', 'parent:id,public_id,author_id,script_id,thread_id',
            'parent.author:id,name', 'parent.script:id,code',
        )->withCount('versions');
    }

    /**
     * @param  array<Post>  $posts
     */
    private static function knowTheirTopic(array $posts, Topic $topic): void
    {
        foreach ($posts as $post) {
            $post->setRelation('topic', $topic);
        }
    }
}
