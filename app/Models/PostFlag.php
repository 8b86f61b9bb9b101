<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A reader asks staff to look at a post.
 *
 * @property int $id
 * @property string $public_id
 * @property int $post_id
 * @property int $user_id
 * @property string $reason
 * @property Carbon|null $decided_at
 * @property int|null $decided_by
 * @property string|null $decision hidden or left
 * @property Carbon $created_at
 * @property-read Post $post
 */
final class PostFlag extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['decided_at' => 'datetime'];
    }

    /**
     * @return BelongsTo<Post, $this>
     */
    public function post(): BelongsTo
    {
        return $this->belongsTo(Post::class);
    }
}
