<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Database\Factories\AssignmentTemplateFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A file that goes with an assignment for students to begin from.
 *
 * @property int $id
 * @property string $public_id
 * @property int $assignment_id
 * @property string $name
 * @property string $path
 * @property int $bytes
 * @property string $sha256
 * @property string $text
 * @property-read Assignment $assignment
 */
final class AssignmentTemplate extends Model
{
    /** @use HasFactory<AssignmentTemplateFactory> */
    use HasFactory;

    use HasPublicId;

    protected $guarded = [];

    /**
     * @return BelongsTo<Assignment, $this>
     */
    public function assignment(): BelongsTo
    {
        return $this->belongsTo(Assignment::class);
    }
}
