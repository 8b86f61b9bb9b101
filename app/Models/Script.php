<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\CaseKind;
use App\Models\Concerns\HasPublicId;
use App\Wording\LocalTime;
use DateTimeZone;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Marking\OpenMark;
use YoungHarbor\Core\Marking\Panel;
use YoungHarbor\Core\Marking\Sampled;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SettledMark;
use YoungHarbor\Core\Marking\Standing;
use YoungHarbor\Core\Marks\FinalMark;
use YoungHarbor\Core\Marks\Lateness;
use YoungHarbor\Core\Marks\Length;
use YoungHarbor\Core\Screening\Verdict;

/**
 * One student's place in one assignment, known to markers by its code only.
 *
 * @property int $id
 * @property string $public_id
 * @property int $assignment_id
 * @property int $student_id
 * @property string $code
 * @property string|null $group_name
 * @property int|null $lead_id
 * @property int|null $current_handin_id
 * @property Carbon|null $received_at of the attempt that counts
 * @property bool $late likewise
 * @property string|null $held_reason
 * @property Standing $standing as it was last worked out; changed by StoreStandings alone
 * @property Standing $reached how far it has got, held or not; likewise
 * @property bool $second_done likewise
 * @property Sampled $sampled whether it is in the sample that is marked twice
 * @property Carbon|null $to_settle_at since when it waits to be settled; changed by StoreStandings alone
 * @property Verdict $screening likewise, by StoreScreenings
 * @property bool $held
 * @property Carbon|null $brief_opened_at
 * @property Carbon|null $template_taken_at
 * @property Carbon|null $left_at when its student left the module
 * @property Carbon|null $due_at for this student
 * @property Carbon|null $closes_at for this student
 * @property string|null $waived_reason
 * @property Carbon|null $waived_at
 * @property-read Assignment $assignment
 * @property-read User $student
 * @property-read Handin|null $currentHandin
 * @property-read Collection<int, Handin> $handins
 * @property-read Collection<int, Mark> $marks those that count
 * @property-read Collection<int, Mark> $together
 * @property-read Settlement|null $settlement
 * @property-read Result|null $result
 * @property-read Participation|null $participation
 * @property-read Slot|null $slot
 * @property-read Collection<int, IndividualCase> $openCases
 * @property-read Collection<int, Proposal> $proposals
 */
final class Script extends Model
{
    use HasPublicId;

    protected $guarded = [];

    protected $hidden = ['student_id'];

    protected function casts(): array
    {
        return [
            'brief_opened_at' => 'datetime', 'template_taken_at' => 'datetime', 'left_at' => 'datetime',
            'due_at' => 'datetime',
            'received_at' => 'datetime', 'late' => 'boolean', 'closes_at' => 'datetime', 'waived_at' => 'datetime',
            'held' => 'boolean',
            'standing' => Standing::class, 'reached' => Standing::class, 'second_done' => 'boolean',
            'screening' => Verdict::class, 'sampled' => Sampled::class, 'to_settle_at' => 'datetime',
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
    public function student(): BelongsTo
    {
        return $this->belongsTo(User::class, 'student_id');
    }

    /**
     * @return BelongsTo<Handin, $this>
     */
    public function currentHandin(): BelongsTo
    {
        return $this->belongsTo(Handin::class, 'current_handin_id');
    }

    /**
     * @return HasMany<Handin, $this>
     */
    public function handins(): HasMany
    {
        return $this->hasMany(Handin::class);
    }

    /**
     * Marks that make up its mark.
     *
     * @return HasMany<Mark, $this>
     */
    public function marks(): HasMany
    {
        $marks = $this->hasMany(Mark::class);
        $marks->where('counts', true);

        return $marks;
    }

    /**
     * Marks made before the real marking, by all markers together; they count for nothing.
     *
     * @return HasMany<Mark, $this>
     */
    public function together(): HasMany
    {
        $marks = $this->hasMany(Mark::class);
        $marks->where('seat', Seat::Together);

        return $marks;
    }

    /**
     * The one that holds; of those that were opened again {@see Settlement}.
     *
     * @return HasOne<Settlement, $this>
     */
    public function settlement(): HasOne
    {
        $holding = $this->hasOne(Settlement::class);
        $holding->whereNull('undone_at');

        return $holding;
    }

    /**
     * @return HasOne<SampledScript, $this>
     */
    public function inSample(): HasOne
    {
        return $this->hasOne(SampledScript::class);
    }

    /**
     * The one that holds; corrected ones took the place of others, which are kept.
     *
     * @return HasOne<Result, $this>
     */
    public function result(): HasOne
    {
        $holding = $this->hasOne(Result::class);
        $holding->whereNull('replaced_at');

        return $holding;
    }

    /**
     * What was decided for its student alone and still holds.
     *
     * @return HasMany<IndividualCase, $this>
     */
    public function openCases(): HasMany
    {
        $open = $this->hasMany(IndividualCase::class);
        $open->whereNull('ended_at');

        return $open;
    }

    public function openCase(CaseKind $kind): ?IndividualCase
    {
        return $this->openCases->first(fn (IndividualCase $one) => $one->kind === $kind);
    }

    /** What takes the place of a mark for its student, if something does: exempt, deferred, nothing handed in … */
    public function outcomeCase(): ?IndividualCase
    {
        return $this->openCases->first(fn (IndividualCase $one) => $one->kind->isOutcome());
    }

    /**
     * @return HasMany<Proposal, $this>
     */
    public function proposals(): HasMany
    {
        return $this->hasMany(Proposal::class);
    }

    /**
     * @return BelongsTo<self, $this>
     */
    public function lead(): BelongsTo
    {
        return $this->belongsTo(self::class, 'lead_id');
    }

    /** The script whose marks count for this one: its own, or that of its group. */
    public function leadScript(): self
    {
        return $this->lead_id === null ? $this : $this->lead ?? $this;
    }

    /**
     * The scripts of the group, this one included; alone when there is none.
     *
     * @return Collection<int, self>
     */
    public function group(): Collection
    {
        return self::query()->where('assignment_id', $this->assignment_id)
            ->where(
                fn ($query) => $this->group_name === null
                    ? $query->whereKey($this->id)
                    : $query->where('group_name', $this->group_name)
            )
            ->with('student')->orderBy('id')->get();
    }

    /** The names of everyone whose work it is. */
    public function names(): string
    {
        return $this->group_name === null
            ? $this->student->name
            : $this->group()->map(fn (self $script) => $script->student->name)->implode(', ');
    }

    public function mark(Seat $seat): ?Mark
    {
        return $this->marks->first(fn (Mark $mark) => $mark->seat === $seat);
    }

    /** The marks of the script, or of the one that is marked for its group, in their seats. */
    public function panel(): Panel
    {
        return Panel::of(...$this->leadScript()->marks->map(fn (Mark $mark) => $mark->toCore())->values()->all());
    }

    /** The agreed mark by the assignment's rule, or why people have to agree on it. */
    public function outcome(): SettledMark|OpenMark
    {
        return $this->panel()->settle($this->assignment->scheme, $this->leadScript()->sampled);
    }

    /** By when its markers are to agree; only while it waits to be settled. */
    public function settleBy(): Carbon
    {
        return ($this->to_settle_at ?? now())->copy()->addDays($this->assignment->scheme->days);
    }

    /**
     * The mark as it goes out: settled, corrected, lowered or capped as the assignment says, rounded once. Needs a
     * settlement.
     *
     * @param  list<Correction>|null  $corrections  others than those that are approved, to see what they would do
     */
    public function finalMark(int $decimals, ?array $corrections = null): FinalMark
    {
        $settlement = $this->leadScript()->settlement;
        assert($settlement !== null);
        $in = $this->currentHandin;

        return FinalMark::of(
            $settlement->toCore(), $this->assignment->scale(), max(0, min(3, $decimals)),
            $this->assignment->markRules(array_values(array_filter(
                $corrections ?? $this->assignment->approvedCorrections(), fn (Correction $one) => $one->moves($this),
            )), $this->openCase(CaseKind::Adjusted)?->adjustment(), $this->assignment->joinedTo($this),
                $this->assignment->partOf($this)),
            $this->lateness(), $in?->length() ?? new Length(0),
        );
    }

    /** Lets an attempt count. */
    public function letCount(Handin $handin): void
    {
        $this->update(
            ['current_handin_id' => $handin->id, 'received_at' => $handin->received_at, 'late' => $handin->late]
        );
    }

    /** How late the attempt that counts came in. */
    public function lateness(): Lateness
    {
        $in = $this->currentHandin;

        return $in === null ? Lateness::none()
            : Lateness::between(
                $in->due_at->toDateTimeImmutable(), $in->received_at->toDateTimeImmutable(),
                new DateTimeZone(LocalTime::zone()), $this->assignment->module->closedOn(), $this->waived_at !== null,
            );
    }

    public function isPastDue(): bool
    {
        return $this->due_at !== null && $this->due_at->isPast();
    }

    /** When a discussion ends for this student; what they wrote until then is marked. */
    public function closesDiscussionAt(): ?Carbon
    {
        return $this->closes_at ?? $this->due_at;
    }

    /**
     * When and where its student is observed.
     *
     * @return HasOne<Slot, $this>
     */
    public function slot(): HasOne
    {
        return $this->hasOne(Slot::class);
    }

    /**
     * @return HasOne<Participation, $this>
     */
    public function participation(): HasOne
    {
        return $this->hasOne(Participation::class);
    }

    /** Whether work of this student can still come in. */
    public function takesSlides(): bool
    {
        $lead = $this->leadScript();

        return $this->assignment->isObserved() && $this->assignment->observing->slides && $this->assignment->isOpen()
            && ($lead->slot?->published_at === null || $lead->slot->starts_at->isFuture())
            && ! Mark::counting()->where('script_id', $lead->id)->whereNotNull('begun_at')->exists();
    }

    public function takesHandIns(): bool
    {
        $closes = $this->assignment->isDiscussion() ? $this->closesDiscussionAt() : $this->closes_at;

        return $this->assignment->isOpen() && ($closes === null || $closes->isFuture());
    }

    /**
     * Whether a marker has one of these scripts, or the one that is marked for its group.
     *
     * @param  Collection<int, Script>  $scripts
     */
    public static function areWithMarkers(Collection $scripts): bool
    {
        return Mark::query()->whereNotIn('seat', [Seat::Peer, Seat::OwnRating])
            ->whereIn('script_id', $scripts->map(fn (self $script) => $script->lead_id ?? $script->id))->exists()
            || Result::query()->whereIn('script_id', $scripts->modelKeys())->exists();
    }

    /**
     * A leaver's place is no longer waited for; the work in it stays.
     *
     * @param  list<int>  $students
     */
    public static function noteLeft(int $moduleId, array $students, bool $left): void
    {
        foreach (array_chunk($students, 1000) as $some) {
            self::query()->whereIn('student_id', $some)
                ->whereIn('assignment_id', Assignment::query()->where('module_id', $moduleId)->select('id'))
                ->update(['left_at' => $left ? now() : null]);
        }
    }
}
