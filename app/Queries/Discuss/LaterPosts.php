<?php

declare(strict_types=1);

namespace App\Queries\Discuss;

use App\Models\Mark;
use App\Models\Participation;
use App\Models\Post;
use Illuminate\Database\Eloquent\Collection;

/**
 * What the writer of a script wrote in its discussion after what is marked was frozen: read beside it, never marked.
 */
final class LaterPosts
{
    /**
     * @return Collection<int, Post>
     */
    public static function of(Mark $mark): Collection
    {
        return Post::query()->where('script_id', $mark->script_id)->whereNull('taken_back_at')
            ->where('id', '>', Participation::query()->select('frozen_to')->whereKey($mark->script_id))
            ->with('topic:id,title')->orderBy('id')->get();
    }
}
