<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * What a discussion is about: a title and a prompt, under which people write.
 *
 * @property int $id
 * @property string $public_id
 * @property int $assignment_id
 * @property int $position
 * @property string $title
 * @property string $prompt
 * @property Carbon|null $closed_at when staff closed it, before the discussion ends
 * @property int $lock_version
 * @property-read Assignment $assignment
 */
final class Topic extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['closed_at' => 'datetime'];
    }

    /**
     * @return BelongsTo<Assignment, $this>
     */
    public function assignment(): BelongsTo
    {
        return $this->belongsTo(Assignment::class);
    }

    /**
     * @return HasMany<Post, $this>
     */
    public function posts(): HasMany
    {
        return $this->hasMany(Post::class);
    }

    /**
     * @return HasMany<TopicReader, $this>
     */
    public function readers(): HasMany
    {
        return $this->hasMany(TopicReader::class);
    }
}
