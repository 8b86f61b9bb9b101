<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One step of work on a rubric: the working copy as it stood after it. Undo and redo walk along these.
 *
 * @property int $id
 * @property int $rubric_id
 * @property int $number
 * @property array<string, mixed> $document
 * @property string $what
 * @property string|null $place
 * @property int|null $user_id
 * @property Carbon $created_at
 * @property-read User|null $user
 */
final class RubricStep extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['document' => 'array', 'created_at' => 'datetime'];
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
