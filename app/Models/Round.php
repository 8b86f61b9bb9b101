<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsCoreValue;
use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Peers\RoundSettings;

/**
 * One pass of peer review or self-assessment on an assignment, with its own times.
 *
 * @property int $id
 * @property string $public_id
 * @property int $assignment_id
 * @property int $number the first, second … of the assignment
 * @property string $title
 * @property RoundSettings $settings
 * @property int $seed
 * @property Carbon $begins_at when reviews are given out for the first time
 * @property Carbon $due_at when reviews are due; who is allowed more has more
 * @property Carbon|null $answers_due_at
 * @property Carbon|null $opened_at since when students see it
 * @property Carbon|null $given_at
 * @property Carbon|null $planned_at when who reviews what was last planned
 * @property Carbon|null $reminded_at
 * @property int $short reviews that are promised and nobody is to write
 * @property int $unsure works that wait for someone who has begun nothing
 * @property Carbon|null $closed_at
 * @property int $made_by
 * @property int $lock_version
 * @property-read Assignment $assignment
 * @property-read Collection<int, RoundMember> $members
 * @property-read Collection<int, RoundWork> $works
 * @property-read Collection<int, PeerReview> $reviews
 * @property-read Collection<int, TrialScript> $trials
 */
final class Round extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'settings' => AsCoreValue::class.':'.RoundSettings::class, 'begins_at' => 'datetime', 'due_at' => 'datetime',
            'answers_due_at' => 'datetime', 'opened_at' => 'datetime', 'given_at' => 'datetime',
            'planned_at' => 'datetime', 'reminded_at' => 'datetime', 'closed_at' => 'datetime',
        ];
    }

    /**
     * @return BelongsTo<Assignment, $this>
     */
    public function assignment(): BelongsTo
    {
        return $this->belongsTo(Assignment::class);
    }

    /**
     * @return HasMany<RoundMember, $this>
     */
    public function members(): HasMany
    {
        return $this->hasMany(RoundMember::class);
    }

    /**
     * @return HasMany<RoundWork, $this>
     */
    public function works(): HasMany
    {
        return $this->hasMany(RoundWork::class);
    }

    /**
     * @return HasMany<PeerReview, $this>
     */
    public function reviews(): HasMany
    {
        return $this->hasMany(PeerReview::class);
    }

    /**
     * @return HasMany<TrialScript, $this>
     */
    public function trials(): HasMany
    {
        $trials = $this->hasMany(TrialScript::class);
        $trials->orderBy('position');

        return $trials;
    }

    public function isOpened(): bool
    {
        return $this->opened_at !== null;
    }

    public function isClosed(): bool
    {
        return $this->closed_at !== null;
    }

    /** Whether reviews are under way: given out, and the round not closed. */
    public function isUnderWay(): bool
    {
        return $this->given_at !== null && $this->closed_at === null;
    }

    /**
     * When it is planned anew by itself, the times that are over too, earliest first.
     *
     * @return list<Carbon>
     */
    public function replanTimes(): array
    {
        return array_map(fn (int $hours) => $this->due_at->copy()->subHours($hours), $this->settings->replan);
    }

    /** Whether such a time has come since it was last planned. */
    public function isToPlanAnew(): bool
    {
        foreach ($this->replanTimes() as $time) {
            if ($time->isPast() && $this->planned_at !== null && $this->planned_at->lt($time)) {
                return true;
            }
        }

        return false;
    }
}
