<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\AttachedText;
use App\Handins\WorkReader;
use App\Models\Concerns\HasAttachedFile;
use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One thing said in a thread of replies.
 *
 * @property int $id
 * @property string $public_id
 * @property int $reply_thread_id
 * @property int $author_id
 * @property bool $from_student
 * @property string $body
 * @property string $file_mime
 * @property Carbon $created_at
 * @property-read ReplyThread $thread
 * @property-read User $author
 */
final class Reply extends Model
{
    use HasAttachedFile;
    use HasPublicId;

    protected $guarded = [];

    protected $hidden = ['file_path', 'file_name', 'file_text'];

    protected function casts(): array
    {
        return ['from_student' => 'boolean', 'file_state' => AttachedText::class];
    }

    /**
     * @return BelongsTo<ReplyThread, $this>
     */
    public function thread(): BelongsTo
    {
        return $this->belongsTo(ReplyThread::class, 'reply_thread_id');
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function author(): BelongsTo
    {
        return $this->belongsTo(User::class, 'author_id');
    }

    public function isSound(): bool
    {
        return str_starts_with($this->file_mime, 'audio/');
    }

    /** Its words as the other side reads them while neither is to know the other's name. */
    public function bodyWithoutNames(): string
    {
        return $this->withoutNames($this->body);
    }

    public function masks(): array
    {
        return $this->from_student
            ? WorkReader::masks($this->thread->script->group()->map(fn (Script $one) => $one->student))
            : WorkReader::masks([$this->author]);
    }
}
