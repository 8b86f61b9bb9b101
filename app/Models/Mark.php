<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsCoreValue;
use App\Models\Concerns\HasPublicId;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SeatMark;
use YoungHarbor\Core\Marking\SecondView;
use YoungHarbor\Core\Marking\Standing;
use YoungHarbor\Core\Rubric\CriterionMarks;
use YoungHarbor\Core\Rubric\Rubric;
use YoungHarbor\Core\Rubric\Score;
use YoungHarbor\Core\Rubric\Scorer;

/**
 * One marker's mark in one seat of a script. Marks are separate rows that never overwrite each other.
 *
 * @property int $id
 * @property string $public_id
 * @property int $script_id
 * @property int $assignment_id the script's
 * @property Seat $seat
 * @property SecondView $view what its marker sees of the other marks until it is done
 * @property string $reason why it differs from what it checks, or decides as it does
 * @property bool $agrees made in one step, by agreeing with the first mark
 * @property Carbon|null $put_away_at since when it is on no desk
 * @property int|null $queue_place drawn, so that the order of a queue tells nothing
 * @property int $marker_id
 * @property int $rubric_version_id
 * @property int $work_id what was marked
 * @property list<string>|null $criteria ids of those of the rubric that are used; null: all
 * @property CriterionMarks $choices what was set and written, criterion by criterion
 * @property string $general_comment
 * @property string $private_note for staff alone
 * @property string|null $aside_reason why it is set aside
 * @property array<string, mixed>|null $place where its marker left off
 * @property int $seconds at the desk, pauses left out
 * @property Carbon|null $touched_at
 * @property string|null $total
 * @property int $lock_version
 * @property Carbon|null $begun_at
 * @property Carbon|null $done_at
 * @property Carbon|null $first_done_at
 * @property Carbon $updated_at
 * @property-read Script $script
 * @property-read User $marker
 * @property-read RubricVersion $rubricVersion
 * @property-read Handin $handin
 * @property-read Collection<int, MarkComment> $comments
 * @property-read Collection<int, MarkAttachment> $attachments
 * @property-read PeerReview|null $peerReview
 */
final class Mark extends Model
{
    use HasPublicId;

    protected $guarded = ['counting_seat', 'counting_marker_id', 'holding_marker_id'];

    protected function casts(): array
    {
        return [
            'seat' => Seat::class, 'view' => SecondView::class, 'agrees' => 'boolean', 'counts' => 'boolean',
            'handed_over_at' => 'datetime', 'put_away_at' => 'datetime',
            'queue_place' => 'integer', 'criteria' => 'array', 'choices' => AsCoreValue::class.':'.CriterionMarks::class, 'place' => 'array',
            'touched_at' => 'datetime', 'begun_at' => 'datetime', 'done_at' => 'datetime',
            'first_done_at' => 'datetime',
        ];
    }

    protected static function booted(): void
    {
        self::creating(function (self $mark): void {
            $mark->queue_place ??= random_int(0, PHP_INT_MAX);
            $mark->assignment_id ??= (int) Script::query()->whereKey($mark->script_id)->value('assignment_id');
        });
    }

    /**
     * @return BelongsTo<Script, $this>
     */
    public function script(): BelongsTo
    {
        return $this->belongsTo(Script::class);
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function marker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'marker_id');
    }

    /**
     * @return BelongsTo<RubricVersion, $this>
     */
    public function rubricVersion(): BelongsTo
    {
        return $this->belongsTo(RubricVersion::class);
    }

    /**
     * @return BelongsTo<Handin, $this>
     */
    public function handin(): BelongsTo
    {
        return $this->belongsTo(Handin::class, 'work_id');
    }

    /**
     * Marks that make up their script's mark.
     *
     * @return Builder<self>
     */
    public static function counting(): Builder
    {
        return self::query()->where('marks.counts', true);
    }

    /**
     * What is on desks: without what was handed over, and without marks made together that nobody finished before the
     * result went out.
     *
     * @return Builder<self>
     */
    public static function onDesks(): Builder
    {
        return self::query()->whereNull('marks.put_away_at');
    }

    /**
     * Comments on the script, taken away ones too.
     *
     * @return HasMany<MarkComment, $this>
     */
    public function comments(): HasMany
    {
        return $this->hasMany(MarkComment::class);
    }

    /**
     * @return HasMany<MarkAttachment, $this>
     */
    public function attachments(): HasMany
    {
        return $this->hasMany(MarkAttachment::class);
    }

    /** Puts a script on a marker's desk, with the attempt and the rubric that count now. */
    public static function give(
        Script $script, Seat $seat, int $markerId, Assignment $assignment, ?SecondView $view = null,
    ): self {
        return self::query()->create([
            'script_id' => $script->id, 'assignment_id' => $assignment->id, 'seat' => $seat,
            'view' => $view ?? ($seat === Seat::Second ? $assignment->scheme->view : SecondView::Blind),
            'counts' => $seat->counts(),
            'seat_number' => self::freeNumber($script->id, $seat), 'marker_id' => $markerId,
            'rubric_version_id' => $assignment->rubric_version_id, 'work_id' => $script->current_handin_id,
            'choices' => CriterionMarks::usual(), 'general_comment' => '',
        ]);
    }

    /**
     * What a student makes in a round, as a row to insert: of a peer's work, or of their own. It is on no desk of
     * staff's, and counts only in what all peers' marks come to.
     *
     * @return array<string, mixed>
     */
    public static function ofStudent(
        Round $round, RoundWork $work, int $studentId, Seat $seat, int $versionId,
    ): array {
        return [
            'public_id' => (new self)->newUniqueId(), 'script_id' => $work->script_id,
            'assignment_id' => $round->assignment_id, 'seat' => $seat->value, 'view' => SecondView::Blind->value,
            'counts' => false, 'seat_number' => $round->number, 'marker_id' => $studentId, 'put_away_at' => now(),
            'queue_place' => random_int(0, PHP_INT_MAX), 'rubric_version_id' => $versionId,
            'work_id' => $work->work_id, 'choices' => '{}', 'general_comment' => '',
            'criteria' => $round->settings->criteria === []
                ? null : json_encode($round->settings->criteria, JSON_THROW_ON_ERROR),
            'created_at' => now(), 'updated_at' => now(),
        ];
    }

    /** Whether a student made it in a round. */
    public function isStudents(): bool
    {
        return $this->seat->isStudents();
    }

    /**
     * @return HasOne<PeerReview, $this>
     */
    public function peerReview(): HasOne
    {
        return $this->hasOne(PeerReview::class);
    }

    /** As its panel has it. */
    public function toCore(): SeatMark
    {
        return match (true) {
            $this->isDone() => SeatMark::done(
                $this->seat, $this->exactTotal(), $this->reason, $this->view === SecondView::Blind,
            ),
            $this->begun_at !== null => SeatMark::begun($this->seat),
            default => SeatMark::waiting($this->seat),
        };
    }

    public function isPutAway(): bool
    {
        return $this->put_away_at !== null;
    }

    public function isHandedOver(): bool
    {
        return $this->handed_over_at !== null;
    }

    private static function freeNumber(int $scriptId, Seat $seat): int
    {
        return $seat->canBeSeveral() && $seat->counts()
            ? 1 + (int) self::counting()->where('script_id', $scriptId)->where('seat', $seat)->max('seat_number')
            : 1;
    }

    /** The rubric it is made with: all of it, or those of its criteria that a round of reviewing asks for. */
    public function rubric(): Rubric
    {
        return $this->rubricVersion->toCore()->only($this->criteria);
    }

    public function score(): Score
    {
        return Scorer::score($this->rubric(), $this->choices);
    }

    public function isDone(): bool
    {
        // As it is stored: lists ask this of thousands, and a time made of each takes most of theirs.
        return ($this->attributes['done_at'] ?? null) !== null;
    }

    public function isBegun(): bool
    {
        return ($this->attributes['begun_at'] ?? null) !== null;
    }

    /** Whether nothing in it changes any more, for now or for good: it is done, or the script's result is out. */
    public function isClosed(): bool
    {
        return $this->isDone() || $this->script->standing === Standing::Released;
    }

    /** The total of a finished mark, at the rubric's decimals. */
    public function exactTotal(): BigDecimal
    {
        return BigDecimal::of((string) $this->total)->toScale($this->rubricVersion->toCore()->decimals);
    }

    /** The total as people read it, or null before the mark is finished. */
    public function shownTotal(): ?string
    {
        return $this->total === null ? null : (string) $this->exactTotal();
    }

    /** The mark its marker made of this script when all marked together, while this one is still empty. */
    public function madeTogether(): ?self
    {
        return ! $this->counts || $this->begun_at !== null
            ? null
            : self::query()->where('script_id', $this->script_id)->where('marker_id', $this->marker_id)
                ->where('seat', Seat::Together)
                ->where('rubric_version_id', $this->rubric_version_id)->where('work_id', $this->work_id)
                ->whereNotNull('begun_at')->first();
    }

    /** Whether its marker may have to say why: who checks another's mark, and a third who decides. */
    public function asksWhy(): bool
    {
        return ($this->seat === Seat::Second && $this->view === SecondView::Check) || $this->seat === Seat::Third;
    }

    /** Why a mark that is done stays done; null when it can be opened again. */
    public function whyItStays(): ?string
    {
        $script = $this->script;
        if ($script->result()->exists()) {
            return __('mark.stays_released', ['script' => $script->code]);
        }
        $isModerated = $this->counts && $script->marks()->count() > 1
            && $script->marks()->whereNull('done_at')->doesntExist();

        if ($isModerated) {
            return __('mark.stays_moderated');
        }

        return null;
    }
}
