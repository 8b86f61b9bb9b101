<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One text of a baseline. Taken out, it stays on record for the versions it was in.
 *
 * @property int $id
 * @property string $public_id
 * @property int $writing_baseline_id
 * @property string $title
 * @property string $text
 * @property string $sha256
 * @property int $words
 * @property string|null $misfit
 * @property float|null $turn
 * @property int $added_version
 * @property int|null $taken_out_version
 * @property string|null $taken_out_reason
 * @property Carbon $created_at
 * @property-read WritingBaseline $baseline
 */
final class WritingText extends Model
{
    use HasPublicId;

    protected $guarded = [];

    /**
     * @return BelongsTo<WritingBaseline, $this>
     */
    public function baseline(): BelongsTo
    {
        return $this->belongsTo(WritingBaseline::class, 'writing_baseline_id');
    }
}
