<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A file on its way in, piece by piece, so that a lost connection costs only the last piece.
 *
 * @property int $id
 * @property string $public_id
 * @property int $assignment_id
 * @property int $student_id
 * @property string $name
 * @property int $bytes of the whole file
 * @property string $sha256 of the whole file, as worked out before it was sent
 * @property int $arrived bytes so far
 * @property Carbon|null $first_at when its first piece arrived
 * @property Carbon|null $whole_at when all of it had arrived
 * @property-read Assignment $assignment
 * @property-read User $student
 */
final class Upload extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['first_at' => 'datetime', 'whole_at' => 'datetime'];
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

    public function path(): string
    {
        return "uploads/{$this->public_id}";
    }
}
