<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\Part;
use App\Models\Concerns\HasPublicId;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Rubric\Score;
use YoungHarbor\Core\Rubric\Scorer;

/**
 * One marker's mark of one script. First and second marks are separate rows that never overwrite each other.
 *
 * @property int $id
 * @property string $public_id
 * @property int $script_id
 * @property int $assignment_id the script's
 * @property Part $part
 * @property int $marker_id
 * @property int $rubric_version_id
 * @property int $handin_id
 * @property array<string, array<string, mixed>> $choices
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
 * @property Carbon $updated_at
 * @property-read Script $script
 * @property-read User $marker
 * @property-read RubricVersion $rubricVersion
 * @property-read Handin $handin
 * @property-read Collection<int, MarkComment> $comments
 * @property-read Collection<int, MarkAttachment> $attachments
 */
final class Mark extends Model
{
    use HasPublicId;

    protected $guarded = ['counts_as', 'counts_by'];

    protected function casts(): array
    {
        return ['part' => Part::class, 'choices' => 'array', 'place' => 'array', 'touched_at' => 'datetime', 'begun_at' => 'datetime', 'done_at' => 'datetime'];
    }

    protected static function booted(): void
    {
        self::creating(function (self $mark): void {
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
        return $this->belongsTo(Handin::class);
    }

    /**
     * First and second marks, without those made together or handed over.
     *
     * @return Builder<self>
     */
    public static function counting(): Builder
    {
        return self::query()->whereIn('marks.part', Part::COUNTING);
    }

    /**
     * What is on desks: without what was handed over, and without marks made together that nobody finished before the result went out.
     *
     * @return Builder<self>
     */
    public static function onDesks(): Builder
    {
        return self::query()->where('marks.part', '!=', Part::HandedOver)->where(fn (Builder $query) => $query
            ->where('marks.part', '!=', Part::Together)->orWhereNotNull('marks.done_at')
            ->orWhereNotExists(fn ($released) => $released->from('results')->whereColumn('results.script_id', 'marks.script_id')));
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
    public static function give(Script $script, Part $part, int $markerId, Assignment $assignment): self
    {
        return self::query()->create([
            'script_id' => $script->id, 'assignment_id' => $assignment->id, 'part' => $part, 'marker_id' => $markerId,
            'rubric_version_id' => $assignment->rubric_version_id, 'handin_id' => $script->current_handin_id, 'choices' => [], 'general_comment' => '',
        ]);
    }

    public function score(): Score
    {
        return Scorer::score($this->rubricVersion->toCore(), $this->choices);
    }

    public function isDone(): bool
    {
        return $this->done_at !== null;
    }

    /** Whether nothing in it changes any more, for now or for good: it is done, or the script's result is out. */
    public function isClosed(): bool
    {
        return $this->isDone() || $this->script->result()->exists();
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
}
