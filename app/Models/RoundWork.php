<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Work that is reviewed in a round, under a code of its own.
 *
 * @property int $id
 * @property int $round_id
 * @property int $script_id
 * @property int $work_id the attempt that is reviewed, whatever comes after it
 * @property string $code as which reviewers know it
 * @property int $wanted reviews it is promised
 * @property int $missing of those, that nobody is to write
 * @property string|null $combined 0 to 100, once the round is closed
 * @property string|null $low
 * @property string|null $high
 * @property list<array{code: string, mark: string, weight: string, bias: string|null, sd: string|null}>|null $combining
 * @property-read Round $round
 * @property-read Script $script
 * @property-read Handin $handin
 * @property-read Collection<int, PeerReview> $reviews
 */
final class RoundWork extends Model
{
    protected $guarded = [];

    protected function casts(): array
    {
        return ['combining' => 'array'];
    }

    /**
     * @return BelongsTo<Round, $this>
     */
    public function round(): BelongsTo
    {
        return $this->belongsTo(Round::class);
    }

    /**
     * @return BelongsTo<Script, $this>
     */
    public function script(): BelongsTo
    {
        return $this->belongsTo(Script::class);
    }

    /**
     * @return BelongsTo<Handin, $this>
     */
    public function handin(): BelongsTo
    {
        return $this->belongsTo(Handin::class, 'work_id');
    }

    /**
     * @return HasMany<PeerReview, $this>
     */
    public function reviews(): HasMany
    {
        return $this->hasMany(PeerReview::class);
    }
}
