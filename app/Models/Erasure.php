<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * That a person was erased: when, on whose word, how much of what went. The content is gone.
 *
 * @property int $id
 * @property int $user_id
 * @property string $reason
 * @property array<string, int> $counts
 * @property int $erased_by
 * @property Carbon $erased_at
 * @property-read User $by
 */
final class Erasure extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['counts' => 'array', 'erased_at' => 'datetime'];
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function by(): BelongsTo
    {
        return $this->belongsTo(User::class, 'erased_by');
    }
}
