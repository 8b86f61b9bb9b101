<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use YoungHarbor\Core\Overlap\Matched;

/**
 * What one script has in common with one source, as aligned: nothing credited, nothing left out.
 *
 * @property int $id
 * @property int $overlap_report_id
 * @property int $overlap_source_id
 * @property list<list<array{int, int, int}>> $runs
 * @property list<list<array{int, int, int}>> $close
 * @property int $words
 * @property int $close_words
 * @property-read OverlapSource $source
 */
final class OverlapMatch extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['runs' => 'array', 'close' => 'array'];
    }

    /**
     * @return BelongsTo<OverlapSource, $this>
     */
    public function source(): BelongsTo
    {
        return $this->belongsTo(OverlapSource::class, 'overlap_source_id');
    }

    public function toCore(): Matched
    {
        return Matched::kept(OverlapSource::nameOf($this->overlap_source_id), $this->runs, $this->close);
    }
}
