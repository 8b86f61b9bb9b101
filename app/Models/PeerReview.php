<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\PeerReviewState;
use App\Enums\WhyFlagged;
use App\Enums\WhyReturned;
use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One student's review of one work in a round, around the mark they make of it; their rating of their own work too.
 *
 * @property int $id
 * @property string $public_id
 * @property int $round_id
 * @property int $round_work_id
 * @property int $round_member_id
 * @property int $mark_id
 * @property bool $own of one's own work
 * @property int $place drawn, so that the order of reviews tells nothing
 * @property list<string>|null $asked what was pointed out before it was sent
 * @property WhyReturned|null $returned_why
 * @property string $returned_text
 * @property Carbon|null $returned_at
 * @property Carbon|null $returned_seen_at
 * @property int|null $useful by its author: 0 not, 1 in part, 2 useful
 * @property string $answer what the author will do with it
 * @property Carbon|null $answered_at
 * @property WhyFlagged|null $flag_why
 * @property string $flag_text
 * @property Carbon|null $flagged_at
 * @property Carbon|null $flag_decided_at
 * @property string $flag_reason what staff said to it
 * @property Carbon|null $hidden_at
 * @property-read Round $round
 * @property-read RoundWork $work
 * @property-read RoundMember $member
 * @property-read Mark $mark
 */
final class PeerReview extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'own' => 'boolean', 'asked' => 'array', 'returned_why' => WhyReturned::class, 'returned_at' => 'datetime',
            'returned_seen_at' => 'datetime', 'answered_at' => 'datetime', 'flag_why' => WhyFlagged::class,
            'flagged_at' => 'datetime', 'flag_decided_at' => 'datetime', 'hidden_at' => 'datetime',
        ];
    }

    protected static function booted(): void
    {
        self::creating(fn (self $review) => $review->place ??= random_int(0, 65_535));
    }

    /**
     * @return BelongsTo<Round, $this>
     */
    public function round(): BelongsTo
    {
        return $this->belongsTo(Round::class);
    }

    /**
     * @return BelongsTo<RoundWork, $this>
     */
    public function work(): BelongsTo
    {
        return $this->belongsTo(RoundWork::class, 'round_work_id');
    }

    /**
     * @return BelongsTo<RoundMember, $this>
     */
    public function member(): BelongsTo
    {
        return $this->belongsTo(RoundMember::class, 'round_member_id');
    }

    /**
     * @return BelongsTo<Mark, $this>
     */
    public function mark(): BelongsTo
    {
        return $this->belongsTo(Mark::class);
    }

    public function isReturned(): bool
    {
        return ($this->attributes['returned_at'] ?? null) !== null;
    }

    public function state(): PeerReviewState
    {
        return match (true) {
            $this->isReturned() => PeerReviewState::Returned,
            $this->mark->isDone() => PeerReviewState::Done,
            $this->mark->isBegun() => PeerReviewState::Begun,
            default => PeerReviewState::Given,
        };
    }

    public function isLate(): bool
    {
        return $this->mark->done_at?->gt($this->member->due_at) ?? $this->member->due_at->isPast();
    }

    /** Whether its author (or, of their own work, they themselves) can write in it. */
    public function isOpen(): bool
    {
        return $this->returned_at === null && $this->round->isUnderWay();
    }

    /** Why a review that is done stays done; null while it can be opened again. */
    public function whyItStays(): ?string
    {
        return match (true) {
            $this->round->isClosed() => (string) __('peers.stays_closed'),
            $this->member->due_at->isPast() => (string) __('peers.stays_due'),
            $this->answered_at !== null => (string) __('peers.stays_answered'),
            default => null,
        };
    }

    /** Whether it enters what peers' marks come to: done, not of one's own work, and hidden by nobody. */
    public function enters(): bool
    {
        return ! $this->own && ($this->attributes['hidden_at'] ?? null) === null && $this->state() === PeerReviewState::Done;
    }
}
