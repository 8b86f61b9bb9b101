<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\MailState;
use App\Enums\NoticeKind;
use App\Models\Concerns\HasPublicId;
use App\Wording\LocalTime;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Something a person is told, here and by mail.
 *
 * @property int $id
 * @property string $public_id
 * @property int $user_id
 * @property int|null $assignment_id
 * @property NoticeKind $kind
 * @property string $once what it tells of
 * @property string $title
 * @property string $link a path of this application
 * @property Carbon|null $read_at
 * @property string $subject
 * @property string|null $body of the mail
 * @property MailState $mail
 * @property Carbon|null $mail_from not before then
 * @property int $tries
 * @property Carbon|null $taken_at
 * @property Carbon|null $sent_at
 * @property string|null $failure
 * @property Carbon $created_at
 * @property-read User $user
 * @property-read Assignment|null $assignment
 */
final class Notice extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'kind' => NoticeKind::class, 'mail' => MailState::class, 'read_at' => 'datetime', 'mail_from' => 'datetime',
            'taken_at' => 'datetime', 'sent_at' => 'datetime',
        ];
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /**
     * @return BelongsTo<Assignment, $this>
     */
    public function assignment(): BelongsTo
    {
        return $this->belongsTo(Assignment::class);
    }

    /** When it came, in words; of posts the day alone, since whoever marks a discussion sees no times of it. */
    public function when(): string
    {
        return $this->kind === NoticeKind::Post || $this->kind === NoticeKind::PostFlagged
            ? LocalTime::day($this->created_at) : LocalTime::shown($this->created_at);
    }
}
