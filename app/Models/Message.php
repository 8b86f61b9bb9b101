<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What was written to students of an assignment, and to whom.
 *
 * @property int $id
 * @property int $assignment_id
 * @property int $sent_by
 * @property string $subject
 * @property string $body with its placeholders
 * @property string $shown to whom, in words
 * @property int $recipients
 * @property Carbon $created_at
 * @property-read User $sender
 * @property-read Assignment $assignment
 */
final class Message extends Model
{
    protected $guarded = [];

    /**
     * @return BelongsTo<User, $this>
     */
    public function sender(): BelongsTo
    {
        return $this->belongsTo(User::class, 'sent_by');
    }

    /**
     * @return BelongsTo<Assignment, $this>
     */
    public function assignment(): BelongsTo
    {
        return $this->belongsTo(Assignment::class);
    }
}
