<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What a student is always allowed in a module: every assignment applies it by itself. Kept when it ends.
 *
 * @property int $id
 * @property int $module_id
 * @property int $student_id
 * @property int $extra_days
 * @property int $extra_percent of the time from opening to due, in timed assignments
 * @property string $reason
 * @property int $given_by
 * @property Carbon|null $ended_at
 * @property Carbon $created_at
 * @property-read Module $module
 * @property-read User $student
 * @property-read User $giver
 */
final class Allowance extends Model
{
    protected $guarded = [];

    protected function casts(): array
    {
        return ['ended_at' => 'datetime'];
    }

    /**
     * @return BelongsTo<Module, $this>
     */
    public function module(): BelongsTo
    {
        return $this->belongsTo(Module::class);
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

    /** "3 extra days; 25 % extra time in timed assignments". */
    public function inWords(): string
    {
        return implode('; ', array_filter([
            $this->extra_days === 0 ? '' : $this->extra_days.' extra '.($this->extra_days === 1 ? 'day' : 'days'),
            $this->extra_percent === 0 ? '' : "{$this->extra_percent} % extra time in timed assignments",
        ]));
    }
}
