<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use LogicException;

/**
 * One line of the logbook, chained to the one before it.
 *
 * @property int $number
 * @property string $at
 * @property int|null $actor_id
 * @property int|null $module_id
 * @property int|null $assignment_id
 * @property string $action
 * @property string $subject
 * @property array<string, mixed> $details
 * @property string $hash
 * @property-read User|null $actor
 */
final class LogbookLine extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'number';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['details' => 'array'];
    }

    protected static function booted(): void
    {
        self::updating(fn () => throw new LogicException('A line of the logbook never changes.'));
        self::deleting(fn () => throw new LogicException('A line of the logbook is never removed.'));
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function actor(): BelongsTo
    {
        return $this->belongsTo(User::class, 'actor_id');
    }

    public function when(): Carbon
    {
        return Carbon::parse($this->at, 'UTC');
    }
}
