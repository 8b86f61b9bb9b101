<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsCoreValue;
use App\Enums\CorrectionState;
use App\Enums\HandInBy;
use App\Enums\WorkForm;
use App\Extraction\FileKind;
use App\Models\Concerns\HasPublicId;
use App\Peers\ClosedRounds;
use App\Peers\Contributions;
use App\Wording\LocalTime;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Discussion\Audience;
use YoungHarbor\Core\Discussion\Settings as Discussion;
use YoungHarbor\Core\Marking\Scheme;
use YoungHarbor\Core\Marks\Adjustment;
use YoungHarbor\Core\Marks\BandScale;
use YoungHarbor\Core\Marks\Contribution as ContributionStep;
use YoungHarbor\Core\Marks\JoinedMark;
use YoungHarbor\Core\Marks\LateRule;
use YoungHarbor\Core\Marks\LengthRule;
use YoungHarbor\Core\Marks\MarkRules;
use YoungHarbor\Core\Observing\Settings as Observing;
use YoungHarbor\Core\Overlap\Alignment;
use YoungHarbor\Core\Overlap\Bibliography;
use YoungHarbor\Core\Overlap\Interval;
use YoungHarbor\Core\Overlap\LeftOut;
use YoungHarbor\Core\Overlap\Quotations;
use YoungHarbor\Core\Release\Settings as Release;
use YoungHarbor\Core\Screening\Settings as Screening;
use YoungHarbor\Core\Text\Words;

/**
 * One piece of assessed work of a module.
 *
 * @property int $id
 * @property string $public_id
 * @property int $module_id
 * @property int|null $rubric_version_id
 * @property WorkForm $form what is marked
 * @property string $title
 * @property string $brief
 * @property Carbon|null $opens_at
 * @property Carbon|null $due_at
 * @property Carbon|null $closes_at
 * @property Carbon|null $promised_on
 * @property Carbon|null $published_at
 * @property array<string, mixed> $bands
 * @property Scheme $scheme which seats there are and how marks settle
 * @property Screening $screening what scripts are compared with, the lines, who sees a report
 * @property Release $release what goes out
 * @property Discussion $discussion how students discuss, where they do
 * @property Observing $observing how people are observed, where they are
 * @property bool $keep_groups scripts of one group go to one first marker
 * @property int|null $writing_baseline_id null: writing is not measured
 * @property Carbon|null $writing_detector_since since when students were told
 * @property-read WritingBaseline|null $writingBaseline
 * @property array<string, mixed>|null $late_rule
 * @property array<string, mixed>|null $length_rule
 * @property string|null $cap
 * @property list<string>|null $handin_kinds
 * @property int $max_megabytes
 * @property int $max_files
 * @property int $self_checks drafts a student may have checked
 * @property int $first_feedback how often a student may ask the outside writing assistant; 0: not at all
 * @property HandInBy $handin_by
 * @property list<array{id: string, kind: string, label: string, required: bool}>|null $declaration
 * @property Carbon|null $shared_out_at when the first scripts went to markers
 * @property Carbon|null $results_out_at when the first result went out
 * @property Carbon|null $names_revealed_at
 * @property Carbon|null $let_go_at since when nothing is left of its work and marks
 * @property int $lock_version
 * @property-read Module $module
 * @property-read RubricVersion|null $rubricVersion
 * @property-read Collection<int, Script> $scripts
 * @property-read Collection<int, AssignmentTemplate> $templates
 * @property-read Collection<int, Topic> $topics
 */
final class Assignment extends Model
{
    use HasPublicId;

    /** Among the kinds of hand-ins: text typed into the page. */
    public const TYPED = 'typed';

    /** And the address of something that stands elsewhere. */
    public const LINK = 'link';

    protected $guarded = [];

    protected $attributes = ['form' => 'handin'];

    protected function casts(): array
    {
        return [
            'opens_at' => 'datetime', 'due_at' => 'datetime', 'closes_at' => 'datetime', 'promised_on' => 'date',
            'published_at' => 'datetime', 'names_revealed_at' => 'datetime', 'shared_out_at' => 'datetime',
            'results_out_at' => 'datetime', 'let_go_at' => 'datetime', 'writing_detector_since' => 'datetime',
            'bands' => 'array', 'late_rule' => 'array', 'length_rule' => 'array', 'declaration' => 'array',
            'handin_kinds' => 'array',
            'scheme' => AsCoreValue::class.':'.Scheme::class, 'screening' => AsCoreValue::class.':'.Screening::class,
            'release' => AsCoreValue::class.':'.Release::class, 'form' => WorkForm::class,
            'discussion' => AsCoreValue::class.':'.Discussion::class,
            'observing' => AsCoreValue::class.':'.Observing::class,
            'keep_groups' => 'boolean', 'handin_by' => HandInBy::class,
            // As a decimal, so that 40 is no change from 40.00.
            'cap' => 'decimal:2',
        ];
    }

    /**
     * @return BelongsTo<Module, $this>
     */
    public function module(): BelongsTo
    {
        return $this->belongsTo(Module::class);
    }

    /**
     * @return BelongsTo<RubricVersion, $this>
     */
    public function rubricVersion(): BelongsTo
    {
        return $this->belongsTo(RubricVersion::class);
    }

    /**
     * @return HasMany<Script, $this>
     */
    public function scripts(): HasMany
    {
        return $this->hasMany(Script::class);
    }

    /**
     * @return BelongsTo<WritingBaseline, $this>
     */
    public function writingBaseline(): BelongsTo
    {
        return $this->belongsTo(WritingBaseline::class);
    }

    /**
     * @return HasMany<AssignmentTemplate, $this>
     */
    public function templates(): HasMany
    {
        return $this->hasMany(AssignmentTemplate::class);
    }

    /**
     * What a discussion is about.
     *
     * @return HasMany<Topic, $this>
     */
    public function topics(): HasMany
    {
        return $this->hasMany(Topic::class)->orderBy('position')->orderBy('id');
    }

    /** Whether people are watched while they do something; names show then. */
    public function isObserved(): bool
    {
        return $this->form === WorkForm::Observed;
    }

    /**
     * @return HasMany<Slot, $this>
     */
    public function slots(): HasMany
    {
        return $this->hasMany(Slot::class)->orderBy('starts_at')->orderBy('room');
    }

    /**
     * @return HasMany<ObservationGround, $this>
     */
    public function grounds(): HasMany
    {
        return $this->hasMany(ObservationGround::class)->orderBy('starts_at')->orderBy('room');
    }

    public function isDiscussion(): bool
    {
        return $this->form === WorkForm::Discussion;
    }

    /** Whether students work in groups here, or talk in them. */
    public function usesGroups(): bool
    {
        return $this->handin_by->isGroup() || (
            $this->isDiscussion() && $this->discussion->audience === Audience::Group
        );
    }

    /** Whether a discussion goes on. */
    public function isTalking(): bool
    {
        return $this->isDiscussion() && $this->isPublished() && $this->endsAt()?->isFuture() === true;
    }

    /** When a discussion ends; what stands then is marked. */
    public function endsAt(): ?Carbon
    {
        return $this->closes_at ?? $this->due_at;
    }

    /**
     * What students were given, which does not count when their work is compared: the brief and the templates.
     *
     * @param  list<string>  $words  a script's words, normalised
     */
    public function leftOut(array $words): LeftOut
    {
        return LeftOut::given($words, $this->givenWords(), new Alignment($this->screening->minWords, 0));
    }

    /**
     * @return list<Interval> passages of a text that were given, its quotations and its bibliography
     */
    public function places(Words $words): array
    {
        $given = array_map(
            fn (array $interval) => new Interval('given', $interval[0], $interval[1]),
            $this->leftOut($words->normalForms())->intervals,
        );

        return [...$given, ...Quotations::of($words), ...Bibliography::of($words)];
    }

    /**
     * @return list<list<string>> the words of the brief and of each template
     */
    public function givenWords(): array
    {
        return array_map(fn (string $text) => Words::of($text)->normalForms(), $this->givenTexts());
    }

    /** What comparing depends on: a report made with other settings has to be made again. */
    public function overlapSettings(): string
    {
        $screening = $this->screening;

        return md5(
            json_encode(
                [
                    $screening->minWords, $screening->module, $screening->archive, $screening->joinsArchive,
                    $this->givenTexts(),
                ],
                JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE,
            )
        );
    }

    /**
     * @return list<string>
     */
    private function givenTexts(): array
    {
        return array_values(
            array_filter(
                [
                    $this->brief, ...$this->templates->pluck('text')->all(),
                    ...($this->isDiscussion() ? $this->topics->pluck('prompt')->all() : []),
                ],
                fn (mixed $text) => is_string($text) && $text !== '',
            )
        );
    }

    /** Whether a hand-in may go to the outside detector: only what was handed in by people who had been told. */
    public function mayAskDetector(Handin $handin): bool
    {
        return $this->writing_detector_since !== null && $handin->received_at->gte($this->writing_detector_since);
    }

    /**
     * Corrections of its marks, whatever became of them.
     *
     * @return HasMany<Correction, $this>
     */
    public function corrections(): HasMany
    {
        return $this->hasMany(Correction::class);
    }

    /**
     * Those that move marks: one marker's before those for everyone.
     *
     * @return list<Correction>
     */
    public function approvedCorrections(): array
    {
        return array_values($this->corrections->where('state', CorrectionState::Approved)
            ->sortBy(Correction::place(...))->all());
    }

    /**
     * @return HasMany<Round, $this>
     */
    public function rounds(): HasMany
    {
        $rounds = $this->hasMany(Round::class);
        $rounds->orderBy('number');

        return $rounds;
    }

    /**
     * @return HasOne<Contribution, $this>
     */
    public function contribution(): HasOne
    {
        return $this->hasOne(Contribution::class);
    }

    /** @var array<int, list<JoinedMark>>|null by script id, of those of which something joins */
    private ?array $joined = null;

    /**
     * What came out of rounds of peer review for a script, where it is part of the mark.
     *
     * @return list<JoinedMark>
     */
    public function joinedTo(Script $script): array
    {
        $this->joined ??= ClosedRounds::joinedMarks($this, ! $this->byCodeAlone);

        return $this->joined[$script->id] ?? [];
    }

    /** @var array<int, ContributionStep>|null by script id */
    private ?array $parts = null;

    /** What a member's part in their group does to their mark. */
    public function partOf(Script $script): ?ContributionStep
    {
        $this->parts ??= $this->byCodeAlone ? [] : Contributions::steps($this);

        return $this->parts[$script->id] ?? null;
    }

    /**
     * Whether marks are worked out without what stands by name elsewhere, such as a member's part in a group: beside a
     * script code it would tell whose it is.
     */
    private bool $byCodeAlone = false;

    /** Whether something that stands by name elsewhere joins the marks only when they go out. */
    public function leavesOutWhatIsKnownByName(): bool
    {
        return $this->names_revealed_at === null && (
            Contributions::steps($this) !== []
            || $this->rounds->contains(fn (Round $one) => $one->isClosed() && $one->settings->reviewing > 0)
        );
    }

    /** For pages that show marks by code before names are revealed. */
    public function leavingOutWhatIsKnownByName(): self
    {
        $this->byCodeAlone = $this->names_revealed_at === null;

        return $this;
    }

    /**
     * What happens to a settled mark before it is rounded.
     *
     * @param  list<Correction>  $corrections  that move it
     * @param  list<JoinedMark>  $joined  of its round of peer review
     */
    public function markRules(
        array $corrections = [], ?Adjustment $adjustment = null, array $joined = [], ?ContributionStep $part = null,
    ): MarkRules {
        return new MarkRules(
            $this->late_rule === null ? null : LateRule::fromArray($this->late_rule),
            $this->length_rule === null ? null : LengthRule::fromArray($this->length_rule),
            $this->cap === null ? null : BigDecimal::of($this->cap),
            array_map(fn (Correction $one) => $one->toCore(), $corrections), $adjustment, $joined, $part,
        );
    }

    /**
     * Kinds of files students may hand in.
     *
     * @return list<FileKind>
     */
    public function fileKinds(): array
    {
        return array_values(
            array_filter(
                FileKind::documents(),
                fn (FileKind $kind) => $this->handin_kinds === null
                    || in_array($kind->value, $this->handin_kinds, true),
            )
        );
    }

    /** What may be handed in, as students read it: ".docx or .pdf". */
    public function kindsInWords(): string
    {
        $kinds = array_map(fn (FileKind $kind) => '.'.$kind->value, $this->fileKinds());
        if ($this->takesLinks()) {
            $kinds[] = 'a link';
        }
        $last = array_pop($kinds);

        return $kinds === [] ? (string) $last : implode(', ', $kinds).' or '.$last;
    }

    public function takesTyped(): bool
    {
        return $this->handin_kinds === null || in_array(self::TYPED, $this->handin_kinds, true);
    }

    /** Links are taken only when the assignment says so. */
    public function takesLinks(): bool
    {
        return in_array(self::LINK, $this->handin_kinds ?? [], true);
    }

    public function scale(): BandScale
    {
        return BandScale::fromArray($this->bands);
    }

    public function isPublished(): bool
    {
        return $this->published_at !== null;
    }

    public function isOpen(): bool
    {
        return $this->isPublished() && ($this->opens_at === null || ! $this->opens_at->isFuture());
    }

    public function isPastDue(): bool
    {
        return $this->due_at !== null && $this->due_at->isPast();
    }

    public function namesRevealed(): bool
    {
        return $this->names_revealed_at !== null;
    }

    /** Why no scripts can be chosen for all to mark together now; null when they can. */
    public function whyNotTogether(int $markers): ?string
    {
        if (! $this->isPastDue()) {
            $due = $this->due_at === null ? '' : ', '.LocalTime::shown($this->due_at);

            return __('share-out.together_not_due', ['due' => $due]);
        }

        return $markers < 2 ? trans_choice('share-out.together_needs_two', $markers) : null;
    }
}
