<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\LeftOutBy;
use App\Enums\ReportState;
use App\Enums\WebState;
use App\Events\ReportChanged;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Overlap\Interval;
use YoungHarbor\Core\Overlap\LeftOutChoices;

/**
 * How far the comparison of one hand-in is, and its figures when it is ready.
 *
 * @property int $id
 * @property int $handin_id
 * @property ReportState $state
 * @property string|null $failure
 * @property int $compared
 * @property int $to_compare
 * @property string|null $settings
 * @property int $words
 * @property int $counted
 * @property int $matched
 * @property string $share
 * @property int $runs
 * @property int $close_runs
 * @property int $close_words
 * @property int $sources
 * @property int|null $largest_source_id
 * @property int $largest_words
 * @property list<array{string, int, int}>|null $places
 * @property array<string, int>|null $left_out words by reason
 * @property list<array{kind: string, from?: int, to?: int, note?: string}>|null $hiding
 * @property WebState $web_state
 * @property int $web_asked
 * @property int $web_to_ask
 * @property string|null $web_failure
 * @property Carbon|null $finished_at
 * @property-read Handin $handin
 * @property-read Collection<int, OverlapMatch> $matches
 * @property-read Collection<int, OverlapChoice> $choices
 * @property-read OverlapSource|null $largestSource
 */
final class OverlapReport extends Model
{
    protected $guarded = [];

    protected $attributes = ['web_state' => 'off', 'state' => 'waiting'];

    protected static function booted(): void
    {
        self::saved(
            fn (self $report) => $report->wasRecentlyCreated
            || $report->wasChanged(['state', 'share']) ? ReportChanged::dispatch($report->handin_id) : null
        );
    }

    protected function casts(): array
    {
        return [
            'state' => ReportState::class, 'web_state' => WebState::class, 'places' => 'array', 'left_out' => 'array',
            'hiding' => 'array', 'finished_at' => 'datetime',
        ];
    }

    /**
     * @return BelongsTo<Handin, $this>
     */
    public function handin(): BelongsTo
    {
        return $this->belongsTo(Handin::class);
    }

    /**
     * @return HasMany<OverlapMatch, $this>
     */
    public function matches(): HasMany
    {
        return $this->hasMany(OverlapMatch::class);
    }

    /**
     * What its readers left out, in the order they did.
     *
     * @return HasMany<OverlapChoice, $this>
     */
    public function choices(): HasMany
    {
        return $this->hasMany(OverlapChoice::class)->orderBy('id');
    }

    /**
     * @return BelongsTo<OverlapSource, $this>
     */
    public function largestSource(): BelongsTo
    {
        return $this->belongsTo(OverlapSource::class, 'largest_source_id');
    }

    /** What is left out of the figures: as the assignment says, and as its readers chose. */
    public function toChoices(Assignment $assignment): LeftOutChoices
    {
        $quotations = $assignment->screening->quotations;
        $bibliography = $assignment->screening->bibliography;
        $shortest = 0;
        $sources = $passages = [];
        foreach ($this->choices->whereNull('undone_at') as $choice) {
            match ($choice->what) {
                LeftOutBy::Quotations => $quotations = $choice->leave_out,
                LeftOutBy::Bibliography => $bibliography = $choice->leave_out,
                LeftOutBy::Short => $shortest = max(0, (int) $choice->from_word),
                LeftOutBy::Source => $sources[] = OverlapSource::nameOf((int) $choice->overlap_source_id),
                LeftOutBy::Passage => $passages[] = [(int) $choice->from_word, (int) $choice->to_word],
            };
        }

        return new LeftOutChoices($quotations, $bibliography, $shortest, $sources, $passages);
    }

    /**
     * @return list<Interval>
     */
    public function intervals(): array
    {
        return array_map(fn (array $place) => new Interval($place[0], $place[1], $place[2]), $this->places ?? []);
    }
}
