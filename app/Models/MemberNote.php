<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A comment on a student's work in a module as a whole: to the student, or among coordinators.
 *
 * @property int $id
 * @property string $public_id
 * @property int $membership_id
 * @property string $body
 * @property bool $student_reads
 * @property int $author_id
 * @property Carbon|null $taken_back_at
 * @property Carbon $created_at
 * @property-read Membership $membership
 * @property-read User $author
 */
final class MemberNote extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['student_reads' => 'boolean', 'taken_back_at' => 'datetime'];
    }

    /**
     * @return BelongsTo<Membership, $this>
     */
    public function membership(): BelongsTo
    {
        return $this->belongsTo(Membership::class);
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function author(): BelongsTo
    {
        return $this->belongsTo(User::class, 'author_id');
    }
}
