<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One matched passage of a report: word offsets in the script and in the source, ends exclusive.
 *
 * @property int $id
 * @property int $overlap_report_id
 * @property int $source_handin_id
 * @property int $from_word
 * @property int $to_word
 * @property int $source_from
 * @property int $source_to
 * @property int $words
 * @property list<array{int, int, int}> $pieces
 * @property-read Handin $source
 */
final class OverlapRun extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['pieces' => 'array'];
    }

    /**
     * @return BelongsTo<Handin, $this>
     */
    public function source(): BelongsTo
    {
        return $this->belongsTo(Handin::class, 'source_handin_id');
    }
}
