<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A student in a round.
 *
 * @property int $id
 * @property int $round_id
 * @property int $user_id
 * @property int $script_id their own
 * @property string $code as whom authors and the team know them in this round
 * @property Carbon $due_at for them
 * @property int $extra reviews they offered to write besides
 * @property int $lost reviews that went to others because none was begun
 * @property Carbon|null $let_in_at may review although their trial scripts are not near enough
 * @property Carbon|null $left_at reviews nothing more
 * @property string|null $reviewing_mark 0 to 100, once the round is closed
 * @property list<array{what: string, how: string, result: string}>|null $reviewing_working
 * @property-read Round $round
 * @property-read User $user
 * @property-read Script $script
 * @property-read Collection<int, PeerReview> $reviews
 * @property-read Collection<int, TrialMark> $trialMarks
 */
final class RoundMember extends Model
{
    protected $guarded = [];

    protected function casts(): array
    {
        return ['due_at' => 'datetime', 'left_at' => 'datetime', 'let_in_at' => 'datetime', 'reviewing_working' => 'array'];
    }

    /**
     * @return BelongsTo<Round, $this>
     */
    public function round(): BelongsTo
    {
        return $this->belongsTo(Round::class);
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /**
     * @return BelongsTo<Script, $this>
     */
    public function script(): BelongsTo
    {
        return $this->belongsTo(Script::class);
    }

    /**
     * @return HasMany<PeerReview, $this>
     */
    public function reviews(): HasMany
    {
        return $this->hasMany(PeerReview::class);
    }

    /**
     * @return HasMany<TrialMark, $this>
     */
    public function trialMarks(): HasMany
    {
        return $this->hasMany(TrialMark::class);
    }
}
