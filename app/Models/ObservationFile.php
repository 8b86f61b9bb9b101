<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A photo, a sound or a file that an observer kept as evidence.
 *
 * @property int $id
 * @property string $public_id made by the device
 * @property int $mark_id
 * @property string $kind photo, sound or file
 * @property string $name
 * @property string $path
 * @property string $mime
 * @property int $bytes
 * @property string $sha256
 * @property-read Mark $mark
 */
final class ObservationFile extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    public function getRouteKeyName(): string
    {
        return 'public_id';
    }

    /**
     * @return BelongsTo<Mark, $this>
     */
    public function mark(): BelongsTo
    {
        return $this->belongsTo(Mark::class);
    }
}
