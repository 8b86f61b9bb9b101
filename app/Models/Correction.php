<?php

declare(strict_types=1);

namespace App\Models;

use App\Corrections\CorrectionPreview;
use App\Enums\CorrectionKind;
use App\Enums\CorrectionState;
use App\Models\Concerns\HasPublicId;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SettledBy;
use YoungHarbor\Core\Marks\Correction as CoreCorrection;
use YoungHarbor\Core\Marks\Scaling;

/**
 * Settled marks of an assignment moved together, asked for by one person and approved by another.
 *
 * @property int $id
 * @property string $public_id
 * @property int $assignment_id
 * @property CorrectionKind $kind
 * @property int|null $marker_id whose marks, where it is one marker's
 * @property string $constant added to each mark
 * @property string $factor what each is multiplied with before
 * @property array<string, float|int> $working the figures it was worked out from
 * @property string $reason
 * @property CorrectionState $state
 * @property int $asked_by
 * @property int|null $decided_by
 * @property Carbon|null $decided_at
 * @property string $decided_reason
 * @property int|null $taken_back_by
 * @property Carbon|null $taken_back_at
 * @property string $taken_back_reason
 * @property Carbon $created_at
 * @property-read Assignment $assignment
 * @property-read User|null $marker
 * @property-read User $asker
 * @property-read User|null $decider
 * @property-read User|null $taker
 */
final class Correction extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'kind' => CorrectionKind::class, 'state' => CorrectionState::class, 'working' => 'array',
            'decided_at' => 'datetime', 'taken_back_at' => 'datetime',
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
     * @return BelongsTo<User, $this>
     */
    public function marker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'marker_id');
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function asker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'asked_by');
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function decider(): BelongsTo
    {
        return $this->belongsTo(User::class, 'decided_by');
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function taker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'taken_back_by');
    }

    /** Whether it is one that moves this script: every settled one, or of a marker those that rest on them alone. */
    public function moves(Script $script): bool
    {
        $lead = $script->leadScript();

        return $lead->settlement !== null && ($this->kind !== CorrectionKind::Severity || (
            $lead->settlement->settled_by === SettledBy::OnlyMark
            && $lead->mark(Seat::First)?->marker_id === $this->marker_id
        ));
    }

    public function toCore(): CoreCorrection
    {
        $constant = BigDecimal::of($this->constant);
        $factor = BigDecimal::of($this->factor);
        $scaling = $this->kind === CorrectionKind::Line ? Scaling::linear($constant, $factor) : Scaling::add($constant);

        return new CoreCorrection($scaling, __("corrections.line.{$this->kind->value}"), $this->inWords());
    }

    /** What it does, or undoes where it is approved, to the marks as they are now. */
    public function preview(Assignment $assignment): CorrectionPreview
    {
        $assignment->unsetRelation('corrections');
        $others = array_values(array_filter(
            $assignment->approvedCorrections(), fn (self $one) => $one->id !== $this->id,
        ));
        $with = [...$others, $this];
        usort($with, fn (self $a, self $b) => self::place($a) <=> self::place($b));

        return CorrectionPreview::of($assignment, $others, $with);
    }

    /**
     * Where it comes among others: one marker's before those for everyone.
     *
     * @return array{int, int}
     */
    public static function place(self $one): array
    {
        return [$one->kind === CorrectionKind::Severity ? 0 : 1, $one->id ?? PHP_INT_MAX];
    }

    /** Why someone may not decide on it; null when they may. */
    public function whyNotDecidedBy(User $person): ?string
    {
        $why = match (true) {
            $this->state !== CorrectionState::Asked => 'decided_already',
            $this->asked_by === $person->id => 'own',
            $this->marker_id === $person->id => 'themselves',
            default => null,
        };

        return $why === null ? null : (string) trans_choice("corrections.{$why}", 1);
    }

    /** What it does to a mark: "3.5 added", "multiplied by 1.1, 2 taken off". */
    public function inWords(): string
    {
        $constant = BigDecimal::of($this->constant);
        $said = BigDecimal::of($this->factor)->isEqualTo(1)
            ? []
            : [__('corrections.times', ['factor' => Figure::plain(BigDecimal::of($this->factor))])];
        $constant->isZero() || $said[] = __(
            $constant->isPositive() ? 'corrections.added' : 'corrections.taken_off',
            ['marks' => Figure::plain($constant->abs())],
        );

        return $said === [] ? __('corrections.nothing') : implode(', ', $said);
    }
}
