<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a marker says or attaches: voice, video, or a file, in general or on one criterion.
 *
 * @property int $id
 * @property string $public_id
 * @property int $mark_id
 * @property string $kind voice, video or file
 * @property string|null $criterion
 * @property string $name
 * @property string $path
 * @property string $mime
 * @property int $bytes
 * @property string|null $seconds
 * @property string $written what is said, in writing
 * @property-read Mark $mark
 */
final class MarkAttachment extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected $hidden = ['path'];

    /**
     * @return BelongsTo<Mark, $this>
     */
    public function mark(): BelongsTo
    {
        return $this->belongsTo(Mark::class);
    }
}
