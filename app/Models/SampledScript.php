<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A script in a sample: why, and with which chance it was to be.
 *
 * @property int $id
 * @property int $sample_id
 * @property int $script_id
 * @property int $first_marker_id
 * @property string $mark the first mark when it was drawn
 * @property list<string> $reasons
 * @property string $chance exact: a decimal, or n/d
 * @property-read Sample $sample
 * @property-read Script $script
 */
final class SampledScript extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['reasons' => 'array'];
    }

    /**
     * @return BelongsTo<Sample, $this>
     */
    public function sample(): BelongsTo
    {
        return $this->belongsTo(Sample::class);
    }

    /**
     * @return BelongsTo<Script, $this>
     */
    public function script(): BelongsTo
    {
        return $this->belongsTo(Script::class);
    }
}
