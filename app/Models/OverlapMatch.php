<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use YoungHarbor\Core\Overlap\LeftOut;
use YoungHarbor\Core\Overlap\MatchedSource;

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

    /** Puts what one report shares with one source in place of what it shared before. */
    public static function keep(int $reportId, int $sourceId, MatchedSource $matched, LeftOut $given): void
    {
        self::query()->upsert([[
            'overlap_report_id' => $reportId, 'overlap_source_id' => $sourceId, 'words' => $matched->words($given),
            'close_words' => $matched->closeWords($given),
            'runs' => json_encode(MatchedSource::keep($matched->runs), JSON_THROW_ON_ERROR),
            'close' => json_encode(MatchedSource::keep($matched->close), JSON_THROW_ON_ERROR),
        ]], ['overlap_report_id', 'overlap_source_id'], ['words', 'close_words', 'runs', 'close']);
    }

    public function toCore(): MatchedSource
    {
        return MatchedSource::kept(OverlapSource::nameOf($this->overlap_source_id), $this->runs, $this->close);
    }
}
