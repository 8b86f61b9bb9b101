<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Database\Factories\ConflictFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A conflict of interest: whose work someone does not mark. Only coordinators see it, and no page of a marker is drawn
 * from it.
 *
 * @property int $id
 * @property string $public_id
 * @property int $module_id
 * @property int $marker_id
 * @property int $student_id
 * @property string $reason
 * @property Carbon $created_at
 * @property-read User $marker
 * @property-read User $student
 * @property-read Module $module
 */
final class Conflict extends Model
{
    /** @use HasFactory<ConflictFactory> */
    use HasFactory;

    use HasPublicId;

    protected $guarded = [];

    /**
     * @return BelongsTo<User, $this>
     */
    public function marker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'marker_id');
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function student(): BelongsTo
    {
        return $this->belongsTo(User::class, 'student_id');
    }

    /**
     * @return BelongsTo<Module, $this>
     */
    public function module(): BelongsTo
    {
        return $this->belongsTo(Module::class);
    }
}
