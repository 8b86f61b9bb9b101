<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsCoreValue;
use App\Enums\ReleaseState;
use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Release\Scope;

/**
 * Results that go out together: at once, or at a time that was set.
 *
 * @property int $id
 * @property string $public_id
 * @property int $assignment_id
 * @property Scope $scope
 * @property ReleaseState $state
 * @property Carbon|null $due_at when it is to go out; null: at once
 * @property bool $provisional until a board confirms
 * @property bool $with_marks or feedback alone
 * @property string $subject of the mail, with placeholders
 * @property string $body likewise
 * @property int $made_by
 * @property Carbon|null $beat_at when whoever prepares it last said so
 * @property Carbon|null $out_at
 * @property int $chosen results that were to go out
 * @property int $released
 * @property array<string, string> $left_out why, by script code
 * @property string|null $refused why none of it went out
 * @property int|null $stopped_by
 * @property Carbon $created_at
 * @property-read Assignment $assignment
 * @property-read User $maker
 * @property-read User|null $stopper
 */
final class Release extends Model
{
    use HasPublicId;

    /** One that goes out later than this after its time says that it is late, and why that may be. */
    private const LATE_SECONDS = 120;

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'scope' => AsCoreValue::class.':'.Scope::class, 'state' => ReleaseState::class, 'due_at' => 'datetime',
            'provisional' => 'boolean', 'with_marks' => 'boolean', 'beat_at' => 'datetime', 'out_at' => 'datetime',
            'left_out' => 'array',
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
    public function maker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'made_by');
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function stopper(): BelongsTo
    {
        return $this->belongsTo(User::class, 'stopped_by');
    }

    public function wasLate(): bool
    {
        return $this->due_at !== null && $this->out_at !== null
            && $this->due_at->diffInSeconds($this->out_at) > self::LATE_SECONDS;
    }
}
