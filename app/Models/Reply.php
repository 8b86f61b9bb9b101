<?php

declare(strict_types=1);

namespace App\Models;

use App\Handins\WorkReader;
use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Names\Mask;

/**
 * One thing said in a thread of replies.
 *
 * @property int $id
 * @property string $public_id
 * @property int $reply_thread_id
 * @property int $author_id
 * @property bool $from_student
 * @property string $body
 * @property string|null $file_path
 * @property string $file_name
 * @property string $file_mime
 * @property Carbon $created_at
 * @property-read ReplyThread $thread
 * @property-read User $author
 */
final class Reply extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected $hidden = ['file_path', 'file_name'];

    protected function casts(): array
    {
        return ['from_student' => 'boolean'];
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
        $script = $this->thread->script;
        $masks = $this->from_student
            ? WorkReader::masks($script->group()->map(fn (Script $one) => $one->student))
            : [new Mask($this->author->name, $this->author->number, $this->author->email)];

        return array_reduce($masks, fn (string $text, Mask $mask) => $mask->hide($text), $this->body);
    }
}
