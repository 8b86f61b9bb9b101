<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Someone of the team who moderates one assignment: reads and signs its sample pack.
 *
 * @property int $id
 * @property int $assignment_id
 * @property int $user_id
 * @property-read User $user
 */
final class AssignmentModerator extends Model
{
    protected $guarded = [];

    /**
     * @return BelongsTo<User, $this>
     */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
