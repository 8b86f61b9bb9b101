<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A picture or a document beside a post.
 *
 * @property int $id
 * @property string $public_id
 * @property int $post_id
 * @property int $position
 * @property string $kind picture, or a kind of document
 * @property string $name as it was called
 * @property string $description of a picture, for those who cannot see it
 * @property string $path
 * @property string $mime
 * @property int $bytes
 * @property string $sha256
 * @property-read Post $post
 */
final class PostFile extends Model
{
    use HasPublicId;

    public const PICTURE = 'picture';

    public $timestamps = false;

    protected $guarded = [];

    /**
     * @return BelongsTo<Post, $this>
     */
    public function post(): BelongsTo
    {
        return $this->belongsTo(Post::class);
    }

    public function isPicture(): bool
    {
        return $this->kind === self::PICTURE;
    }
}
