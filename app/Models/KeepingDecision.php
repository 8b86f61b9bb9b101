<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\KeepingState;
use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Keeping\Kind;

/**
 * What someone decided about things whose period is over: that they go, or stay for longer; and how much of what went.
 *
 * @property int $id
 * @property string $public_id
 * @property Kind $kind
 * @property int|null $assignment_id null: of the institution
 * @property KeepingState $state
 * @property int $count how much was there when it was decided
 * @property Carbon|null $goes_at not before then
 * @property Carbon|null $keep_until
 * @property string $reason
 * @property array<string, int|float>|null $counts
 * @property Carbon|null $gone_at
 * @property int $decided_by
 * @property Carbon $created_at
 * @property-read Assignment|null $assignment
 * @property-read User $by
 */
final class KeepingDecision extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'kind' => Kind::class, 'state' => KeepingState::class, 'goes_at' => 'datetime', 'keep_until' => 'date',
            'counts' => 'array', 'gone_at' => 'datetime',
        ];
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
    public function by(): BelongsTo
    {
        return $this->belongsTo(User::class, 'decided_by');
    }
}
