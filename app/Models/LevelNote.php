<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\LevelNoteFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * How the levels of one criterion are meant, as markers agreed when they had marked the same scripts.
 *
 * @property int $id
 * @property int $assignment_id
 * @property string $criterion
 * @property string $text
 * @property int $saved_by
 * @property Carbon $updated_at
 * @property-read User $savedBy
 */
final class LevelNote extends Model
{
    /** @use HasFactory<LevelNoteFactory> */
    use HasFactory;

    protected $guarded = [];

    /**
     * @return BelongsTo<User, $this>
     */
    public function savedBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'saved_by');
    }
}
