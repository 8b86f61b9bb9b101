<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * How far a person has read in a topic, and whether they want to hear of it.
 *
 * @property int $id
 * @property int $topic_id
 * @property int $user_id
 * @property int $read_to posts up to this one were shown
 * @property bool $follows
 * @property Carbon $created_at when they opened it first
 * @property-read User $user
 */
final class TopicReader extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['follows' => 'boolean', 'created_at' => 'datetime'];
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
