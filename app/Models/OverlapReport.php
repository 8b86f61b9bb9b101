<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\ReportState;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * How far the comparison of one hand-in is, and its figures when it is ready.
 *
 * @property int $id
 * @property int $handin_id
 * @property ReportState $state
 * @property string|null $failure
 * @property int $compared
 * @property int $to_compare
 * @property int $counted
 * @property int $left_out words of the brief and the templates
 * @property int $matched
 * @property string $share
 * @property Carbon|null $finished_at
 * @property-read Handin $handin
 * @property-read Collection<int, OverlapRun> $runs
 */
final class OverlapReport extends Model
{
    protected $guarded = [];

    protected function casts(): array
    {
        return ['state' => ReportState::class, 'finished_at' => 'datetime'];
    }

    /**
     * @return BelongsTo<Handin, $this>
     */
    public function handin(): BelongsTo
    {
        return $this->belongsTo(Handin::class);
    }

    /**
     * @return HasMany<OverlapRun, $this>
     */
    public function runs(): HasMany
    {
        return $this->hasMany(OverlapRun::class);
    }
}
