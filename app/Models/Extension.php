<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A later due time for one student in one assignment. Kept when it is taken back.
 *
 * @property int $id
 * @property int $assignment_id
 * @property int $student_id
 * @property Carbon $due_at
 * @property string $reason
 * @property int $given_by
 * @property Carbon|null $ended_at
 * @property Carbon $created_at
 * @property-read Assignment $assignment
 * @property-read User $student
 * @property-read User $giver
 */
final class Extension extends Model
{
    protected $guarded = [];

    protected function casts(): array
    {
        return ['due_at' => 'datetime', 'ended_at' => 'datetime'];
    }

    /**
     * @return BelongsTo<Assignment, $this>
     */
    public function assignment(): BelongsTo
    {
        return $this->belongsTo(Assignment::class);
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function student(): BelongsTo
    {
        return $this->belongsTo(User::class, 'student_id');
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function giver(): BelongsTo
    {
        return $this->belongsTo(User::class, 'given_by');
    }
}
