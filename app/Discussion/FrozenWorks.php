<?php

declare(strict_types=1);

namespace App\Discussion;

use App\Actions\Discuss\MaskPosts;
use App\Extraction\FileKind;
use App\Handins\UploadedPiece;
use App\Models\Post;
use App\Models\PostFile;
use App\Models\Script;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use YoungHarbor\Core\Discussion\FrozenPiece;
use YoungHarbor\Core\Discussion\FrozenWork;

/**
 * Makes what is frozen of a discussion: one document of all a student wrote, with as much around each piece as is
 * needed
 * to understand it, and the documents that stood beside it as files of their own.
 */
final class FrozenWorks
{
    /** Letters of what a piece answers, and of each answer to it. */
    private const ANSWERED = 400;

    private const ANSWER = 240;

    /** Answers shown with a piece. */
    private const MOST_ANSWERS = 5;

    /** Bytes of pictures that go into what is read, as of any text. */
    private const MOST_PICTURES = 2_500_000;

    public function __construct(private readonly MaskPosts $masks)
    {
    }

    /**
     * What a student wrote until a time, in its order: nothing that was taken back.
     *
     * @return Collection<int, Post>
     */
    public function posts(Script $script, Carbon $until): Collection
    {
        return Post::query()->where('script_id', $script->id)->whereNull('taken_back_at')->where('created_at', '<=', $until)
            ->with('topic', 'parent.script', 'parent.author', 'files')->orderBy('id')->get();
    }

    /**
     * The files of the attempt: the posts first.
     *
     * @param  Collection<int, Post>  $posts
     * @return non-empty-list<UploadedPiece>
     */
    public function pieces(Script $script, Collection $posts): array
    {
        $answers = Post::query()->whereIn('parent_id', $posts->modelKeys())->where('author_id', '<>', $script->student_id)
            ->whereNull('taken_back_at')->whereNull('hidden_at')->orderBy('id');
        ($this->masks)($script->assignment, [
            ...$posts->modelKeys(), ...$posts->pluck('parent_id')->filter()->all(), ...$answers->pluck('id')->all(),
        ]);
        $posts = $posts->fresh(['topic', 'parent.script', 'parent.author', 'files']);
        $answers = $answers->with('script', 'author')->get()->groupBy('parent_id');
        $left = self::MOST_PICTURES;
        $pieces = $files = [];
        foreach ($posts as $post) {
            $pieces[] = $this->piece($post, $answers->get($post->id, new Collection), $left);
            foreach ($post->files as $file) {
                $file->isPicture() || $files[] = $file;
            }
        }
        $replies = $posts->filter(fn (Post $one) => $one->isReply())->count();
        $work = new FrozenWork($pieces, [
            'posts' => $posts->count() - $replies, 'replies' => $replies,
            'short' => $posts->filter(fn (Post $one) => $one->words < $script->assignment->discussion->words)->count(),
            'words' => array_sum($posts->pluck('words')->all()), 'received' => (int) $answers->flatten()->count(),
        ]);

        return [
            new UploadedPiece('posts.json', FileKind::Posts, $work->toJson()),
            ...array_map(fn (PostFile $file) => new UploadedPiece(
                $file->name, FileKind::from($file->kind), (string) Storage::get($file->path),
            ), $files),
        ];
    }

    /**
     * @param  Collection<int, Post>  $answers
     * @param  int  $left  bytes of pictures that still find room
     */
    private function piece(Post $post, Collection $answers, int &$left): FrozenPiece
    {
        $html = $post->masked;
        $files = [];
        foreach ($post->files as $file) {
            $files[] = ['name' => $file->isPicture() ? '' : $file->name, 'description' => $file->description, 'sha256' => $file->sha256];
            if ($file->isPicture() && $file->bytes <= $left) {
                $left -= $file->bytes;
                $html .= "\n<p><img src=\"data:{$file->mime};base64,".base64_encode((string) Storage::get($file->path)).'" /></p>';
            }
        }

        return new FrozenPiece(
            $post->public_id, $post->isReply(), $post->topic->title, $post->text, $html, $post->hidden_reason,
            $post->parent === null ? null : [
                'who' => $this->who($post->parent), 'text' => $this->begins($post->parent, self::ANSWERED),
            ],
            array_values($answers->take(self::MOST_ANSWERS)->map(fn (Post $one) => [
                'who' => $this->who($one), 'text' => $this->begins($one, self::ANSWER),
            ])->all()), $files,
        );
    }

    private function who(Post $post): string
    {
        return $post->script === null ? $post->author->name : $post->script->code;
    }

    private function begins(Post $post, int $letters): string
    {
        return $post->taken_back_at !== null
            ? __('discuss.taken_back')
            : Str::limit(Str::squish(strip_tags($post->masked_text)), $letters, ' …');
    }
}
