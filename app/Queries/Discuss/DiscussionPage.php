<?php

declare(strict_types=1);

namespace App\Queries\Discuss;

use App\Discussion\DiscussionReader;
use App\Models\Post;
use App\Models\PostFlag;
use App\Models\Topic;
use App\Models\TopicReader;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/**
 * The page of a discussion: its topics with what is in them and what is new to a reader; what is found in it; what
 * readers pointed out to coordinators.
 */
final readonly class DiscussionPage
{
    /** Found posts that are shown. */
    public const FOUND = 50;

    /**
     * @param  array<int, int>  $posts  by topic: how many this reader can see in their room, or staff in all
     * @param  array<int, int>  $new  of them after what they read, others'
     * @param  array<int, bool>  $open  whether others' posts are open to them
     */
    private function __construct(public array $posts, public array $new, public array $open)
    {
    }

    public static function of(DiscussionReader $reader): self
    {
        $topics = $reader->assignment->topics;
        $counts = DB::table('posts as p')->whereIn('p.topic_id', $topics->modelKeys())
            ->when(! $reader->isStaff(), fn ($query) => $query->where('p.room', $reader->room))
            ->leftJoin('topic_readers as r', fn ($join) => $join->on('r.topic_id', '=', 'p.topic_id')
                ->where('r.user_id', $reader->person->id))
            ->groupBy('p.topic_id')->selectRaw(
                'p.topic_id, COUNT(*) AS posts, SUM(p.id > COALESCE(r.read_to, 0) AND p.author_id <> ?) AS new', [$reader->person->id],
            )->get()->keyBy('topic_id');
        $posts = $new = $open = [];
        foreach ($topics as $topic) {
            $open[$topic->id] = $reader->sees($topic);
            $posts[$topic->id] = $open[$topic->id] ? (int) (
                $counts->get($topic->id)->posts ?? 0
            ) : $reader->posts($topic)->count();
            $new[$topic->id] = $open[$topic->id] ? (int) ($counts->get($topic->id)->new ?? 0) : 0;
        }

        return new self($posts, $new, $open);
    }

    /**
     * Posts that hold some words, as this reader reads them.
     *
     * @return Collection<int, Post>
     */
    public static function found(DiscussionReader $reader, string $words): Collection
    {
        $found = (new Post)->newCollection();
        $like = '%'.addcslashes($words, '%_\\').'%';
        foreach ($reader->assignment->topics as $topic) {
            $some = $reader->posts($topic)->whereNull('taken_back_at')
                ->when(! $reader->isStaff(), fn ($query) => $query->whereNull('hidden_at'))
                ->where($reader->seesNames() ? 'text' : 'masked_text', 'like', $like)
                ->with('author:id,name', 'script:id,code')->orderByDesc('id')->limit(self::FOUND)->get();
            $found = $found->concat($some->each(fn (Post $post) => $post->setRelation('topic', $topic)));
        }

        return $found->sortByDesc('id')->take(self::FOUND)->values();
    }

    /**
     * Open flags, the oldest first.
     *
     * @return Collection<int, PostFlag>
     */
    public static function flags(DiscussionReader $reader): Collection
    {
        return PostFlag::query()->whereNull('decided_at')
            ->whereHas('post', fn ($post) => $post->whereIn('topic_id', $reader->assignment->topics->modelKeys()))
            ->with('post.topic', 'post.script:id,code', 'post.author:id,name')->orderBy('id')->get();
    }

    /** Whether they hear of a topic. */
    public static function follows(Topic $topic, int $userId): bool
    {
        return TopicReader::query()->where('topic_id', $topic->id)->where('user_id', $userId)->where('follows', true)->exists();
    }
}
