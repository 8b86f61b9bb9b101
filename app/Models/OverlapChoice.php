<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\LeftOutBy;
use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Something a person left out of a report's figures, or let count after all, with the reason. Undone, it stays on record.
 *
 * @property int $id
 * @property string $public_id
 * @property int $overlap_report_id
 * @property LeftOutBy $what
 * @property bool $leave_out
 * @property int|null $overlap_source_id
 * @property int|null $from_word
 * @property int|null $to_word
 * @property string $reason
 * @property int $made_by
 * @property Carbon|null $undone_at
 * @property Carbon $created_at
 * @property-read OverlapReport $report
 * @property-read User $by
 * @property-read OverlapSource|null $source
 */
final class OverlapChoice extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['what' => LeftOutBy::class, 'leave_out' => 'boolean', 'undone_at' => 'datetime'];
    }

    /**
     * @return BelongsTo<OverlapReport, $this>
     */
    public function report(): BelongsTo
    {
        return $this->belongsTo(OverlapReport::class, 'overlap_report_id');
    }

    /**
     * @return BelongsTo<OverlapSource, $this>
     */
    public function source(): BelongsTo
    {
        return $this->belongsTo(OverlapSource::class, 'overlap_source_id');
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function by(): BelongsTo
    {
        return $this->belongsTo(User::class, 'made_by');
    }
}
