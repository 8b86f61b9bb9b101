<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Someone who marks an assignment: the agreed share, and the sections they take.
 *
 * @property int $id
 * @property int $assignment_id
 * @property int $user_id
 * @property string $share
 * @property list<string>|null $sections null for every section
 * @property-read User $user
 */
final class AssignmentMarker extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['sections' => 'array'];
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
