<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\WebState;
use App\Enums\WritingState;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * How the writing of one hand-in compares with a version of a baseline.
 *
 * @property int $id
 * @property int $handin_id
 * @property WritingState $state
 * @property string|null $reason
 * @property int|null $writing_baseline_id
 * @property int|null $baseline_version
 * @property int $words
 * @property int|null $at_least
 * @property int|null $among
 * @property array{signals: list<array{name: string, value: float, low: float, high: float, below: int, above: int, of: int}>, usual: array{float, float}, sentences: list<array{int, int, float}>, turns: list<array{at: int, p: float}>, own: array{distance: float, farther: int, others: int, words: int}|null}|null $found
 * @property WebState $detector_state
 * @property array{name: string, simulated: bool, score: float, false_alarms: float, misses: float, measured_on: string}|null $detector
 * @property string|null $detector_failure
 * @property Carbon|null $measured_at
 * @property-read Handin $handin
 * @property-read WritingBaseline|null $baseline
 */
final class WritingReport extends Model
{
    protected $guarded = [];

    protected $attributes = ['state' => 'waiting', 'detector_state' => 'off'];

    protected function casts(): array
    {
        return [
            'state' => WritingState::class, 'found' => 'array', 'detector_state' => WebState::class,
            'detector' => 'array', 'measured_at' => 'datetime',
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
     * @return BelongsTo<WritingBaseline, $this>
     */
    public function baseline(): BelongsTo
    {
        return $this->belongsTo(WritingBaseline::class, 'writing_baseline_id');
    }
}
