<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A post that begins a thread in a topic, or a reply in one.
 *
 * @property int $id
 * @property string $public_id
 * @property int $topic_id
 * @property string $room the section or group that talks by itself; empty: all
 * @property int $author_id
 * @property int|null $script_id of the student who wrote it; null: staff
 * @property int|null $thread_id null: it began one
 * @property int|null $parent_id what it answers
 * @property int $place in its thread, from 1; 0: it began it
 * @property int $replies in the thread that it began
 * @property string $text as it was typed
 * @property string $html as its writer sees it
 * @property string $masked the same with nobody of the discussion named
 * @property string $masked_text its words, likewise
 * @property string $roll of the people it was masked with
 * @property int $words of its writer: none that are quoted
 * @property Carbon|null $edited_at
 * @property Carbon|null $taken_back_at
 * @property Carbon|null $hidden_at
 * @property int|null $hidden_by
 * @property string|null $hidden_reason its author reads it
 * @property Carbon|null $pinned_at
 * @property string|null $once
 * @property int $lock_version
 * @property Carbon $created_at when it was posted
 * @property-read Topic $topic
 * @property-read User $author
 * @property-read Script|null $script
 * @property-read self|null $parent
 * @property-read self|null $thread
 * @property-read Collection<int, PostFile> $files
 * @property-read Collection<int, PostVersion> $versions
 */
final class Post extends Model
{
    use HasPublicId;

    /** Letters of a post, at most. */
    public const MOST = 20_000;

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'edited_at' => 'datetime', 'taken_back_at' => 'datetime', 'hidden_at' => 'datetime', 'pinned_at' => 'datetime',
        ];
    }

    /**
     * @return BelongsTo<Topic, $this>
     */
    public function topic(): BelongsTo
    {
        return $this->belongsTo(Topic::class);
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function author(): BelongsTo
    {
        return $this->belongsTo(User::class, 'author_id');
    }

    /**
     * @return BelongsTo<Script, $this>
     */
    public function script(): BelongsTo
    {
        return $this->belongsTo(Script::class);
    }

    /**
     * @return BelongsTo<self, $this>
     */
    public function parent(): BelongsTo
    {
        return $this->belongsTo(self::class, 'parent_id');
    }

    /**
     * @return BelongsTo<self, $this>
     */
    public function thread(): BelongsTo
    {
        return $this->belongsTo(self::class, 'thread_id');
    }

    /**
     * @return HasMany<PostFile, $this>
     */
    public function files(): HasMany
    {
        return $this->hasMany(PostFile::class)->orderBy('position');
    }

    /**
     * @return HasMany<PostVersion, $this>
     */
    public function versions(): HasMany
    {
        return $this->hasMany(PostVersion::class)->orderBy('id');
    }

    public function isReply(): bool
    {
        return $this->thread_id !== null;
    }

    /** Whether students can read it. */
    public function stands(): bool
    {
        return $this->taken_back_at === null && $this->hidden_at === null;
    }

    /** Until when its writer may change it; null: not any more. */
    public function changesUntil(): ?Carbon
    {
        $until = $this->created_at->copy()->addMinutes($this->topic->assignment->discussion->editMinutes);
        $closes = $this->script?->closesDiscussionAt();
        $until = $closes !== null && $closes->lt($until) ? $closes : $until;

        return $until->isFuture() && $this->stands() && $this->topic->closed_at === null ? $until : null;
    }
}
