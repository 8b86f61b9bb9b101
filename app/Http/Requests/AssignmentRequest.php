<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Enums\HandInBy;
use App\Enums\RubricState;
use App\Enums\WorkForm;
use App\Extraction\FileKind;
use App\Http\Requests\Concerns\ReadsSecondMarks;
use App\Models\Assignment;
use App\Models\GradeScale;
use App\Models\Module;
use App\Models\Rubric;
use App\Models\RubricVersion;
use App\Models\User;
use App\Models\WritingBaseline;
use App\Queries\Plan\RubricLibrary;
use App\Wording\LocalTime;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use InvalidArgumentException;
use LogicException;
use YoungHarbor\Core\Collect\Declaration;
use YoungHarbor\Core\Discussion\Audience;
use YoungHarbor\Core\Discussion\Settings as Discussion;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marking\Disagreement;
use YoungHarbor\Core\Marking\Rules\RuleName;
use YoungHarbor\Core\Marking\Scheme;
use YoungHarbor\Core\Marks\LateRule;
use YoungHarbor\Core\Marks\LengthRule;
use YoungHarbor\Core\Observing\Settings as Observing;
use YoungHarbor\Core\Release\AbsentGet;
use YoungHarbor\Core\Release\MarkAfter;
use YoungHarbor\Core\Release\Reflection;
use YoungHarbor\Core\Release\Settings as Release;
use YoungHarbor\Core\Release\Signature;
use YoungHarbor\Core\Screening\ReportSeen;
use YoungHarbor\Core\Screening\Settings as Screening;

/**
 * The assignment form.
 */
final class AssignmentRequest extends FormRequest
{
    use ReadsSecondMarks;

    /** What the screening settings tick. */
    /** Fields of the form that are ticked, by what they set of how scripts are screened. */
    private const TICKED = [
        'quotations' => 'overlap_quotations', 'bibliography' => 'overlap_bibliography', 'module' => 'overlap_module',
        'archive' => 'overlap_archive',
        'web' => 'overlap_web', 'joins_archive' => 'joins_archive', 'students' => 'overlap_students',
        'detector' => 'writing_detector',
    ];

    private const LATE = [
        'take' => 'late_take', 'amount' => 'late_amount', 'per' => 'late_per', 'grace_minutes' => 'late_grace',
        'floor' => 'late_floor', 'cut_off' => 'late_cut_off',
    ];

    private const LENGTH = [
        'limit' => 'word_limit', 'amount' => 'over_amount', 'step' => 'over_step', 'grace' => 'over_grace',
    ];

    public function authorize(): bool
    {
        return $this->user()?->can('coordinate', $this->route('assignment') ?? $this->route('module')) === true;
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        $time = ['nullable', 'string', function (string $field, mixed $value, Closure $fail): void {
            try {
                LocalTime::parse(is_string($value) ? $value : '-');
            } catch (InvalidArgumentException $e) {
                $fail('Write a day and time; '.$e->getMessage().'.');
            }
        }];
        $number = function (string $field, mixed $value, Closure $fail): void {
            $number = Document::parse($value);
            if ($number === null || $number->isGreaterThan(100) || $number->stripTrailingZeros()->getScale() > 2) {
                $fail('Write a number from 0 to 100, such as 5 or 2.5.');
            }
        };
        $kept = $this->keptBands();

        return [
            'form' => ['nullable', Rule::enum(WorkForm::class)],
            ...($this->form() === WorkForm::Discussion ? $this->discussionRules() : []),
            ...($this->form() === WorkForm::Observed ? [
                'observe_minutes' => ['required', 'integer', 'min:5', 'max:'.Observing::LONGEST],
                'observe_gap' => ['required', 'integer', 'min:0', 'max:120'], 'observe_swaps' => ['nullable', 'in:0,1'],
                'observe_slides' => ['nullable', 'in:0,1'], 'observe_rules' => ['nullable', 'string', 'max:'.Observing::LONGEST_RULES],
            ] : []),
            'title' => ['required', 'string', 'max:200'],
            'brief' => ['nullable', 'string', 'max:20000'],
            'rubric' => ['nullable', 'string'],
            'opens_at' => $time, 'due_at' => $time, 'closes_at' => $time,
            'promised_on' => ['nullable', 'date_format:Y-m-d'],
            'bands' => [
                'required',
                Rule::in(
                    [...array_keys(GradeScale::documentsFor($this->module())), ...($kept === null ? [] : ['kept'])]
                ),
            ],
            'pass_mark' => ['required', 'string', $number], 'tolerance' => ['required', 'string', $number],
            ...$this->secondMarkRules(),
            'third_rule' => ['required', Rule::in(array_column(RuleName::ofThree(), 'value'))],
            'disagreement' => ['required', Rule::enum(Disagreement::class)],
            'settle_days' => ['required', 'integer', 'min:1', 'max:'.Scheme::MOST_DAYS],
            'settle_rule' => ['required', Rule::in(array_column(RuleName::ofTwo(), 'value'))],
            'overlap_seen' => ['required', Rule::enum(ReportSeen::class)],
            'formative' => ['nullable', 'in:0,1'],
            'absent' => ['nullable', Rule::enum(AbsentGet::class)],
            'reflection_prompts' => [
                'nullable', 'required_if:mark_after,reflected', 'string', 'max:2600',
                $this->promptsFit(...),
            ],
            'reflection_words' => ['nullable', 'integer', 'min:0', 'max:'.Reflection::MOST_WORDS],
            'reflection_days' => ['nullable', 'integer', 'min:1', 'max:'.Release::MOST_DAYS],
            'reflection_read' => ['nullable', 'in:markers,coordinators'],
            'mark_after' => ['nullable', Rule::enum(MarkAfter::class)],
            'marks_shared' => ['nullable', 'in:0,1'],
            'review_days' => ['nullable', 'integer', 'min:0', 'max:'.Release::MOST_DAYS],
            'answer_days' => ['nullable', 'integer', 'min:1', 'max:'.Release::MOST_DAYS],
            'signatures' => ['nullable', 'array', 'max:2'], 'signatures.*' => [Rule::enum(Signature::class)],
            'writing_baseline' => [
                'nullable', 'string',
                Rule::exists('writing_baselines', 'public_id')->where('module_id', $this->module()->id),
            ],
            'writing_alarm' => ['nullable', 'numeric', 'min:0.005', 'max:0.2'],
            'writing_least_words' => ['nullable', 'integer', 'min:200', 'max:5000'],
            'overlap_min_words' => ['nullable', 'integer', 'min:8', 'max:40'],
            'overlap_look' => ['nullable', 'string', $number, 'numeric', 'gt:0', 'max:100'],
            'overlap_look_closely' => ['nullable', 'string', $number, 'numeric', 'max:100', 'gte:overlap_look'],
            ...array_fill_keys(self::TICKED, ['nullable', 'in:0,1']),
            'late_take' => ['nullable', 'in:,points,percent'], 'late_per' => ['nullable', 'in:day,hour'],
            'late_days' => ['nullable', 'in:all,weekends,closures,both'],
            'declaration' => ['nullable', 'array', 'max:12'], 'declaration.*' => ['array'],
            'declaration.*.kind' => ['nullable', 'in:confirm,words'],
            'declaration.*.label' => ['nullable', 'string', 'max:400'],
            'declaration.*.id' => ['nullable', 'string', 'max:20'], 'declaration.*.required' => ['nullable', 'in:0,1'],
            'cap' => ['nullable', 'string', $number],
            'kinds' => ['nullable', 'array'],
            'kinds.*' => [
                Rule::in([...array_column(FileKind::documents(), 'value'), Assignment::TYPED, Assignment::LINK]),
            ],
            'max_megabytes' => ['nullable', 'integer', 'min:1', 'max:'.(int) config('harbor.upload.max_megabytes')],
            'max_files' => ['nullable', 'integer', 'min:1', 'max:10'],
            'self_checks' => ['nullable', 'integer', 'min:0', 'max:10'],
            'first_feedback' => ['nullable', 'integer', 'min:0', 'max:5'],
            'handin_by' => ['nullable', Rule::enum(HandInBy::class)],
            'lock_version' => ['nullable', 'integer'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'overlap_look.*' => 'The line to look is a percentage above 0, up to 100, with at most two decimals.',
            'overlap_look_closely.*' => 'The line to look closely is a percentage, at or above the line to look, up to 100.',
            'overlap_min_words.*' => 'The shortest run can be 8 to 40 words: shorter ones are too common to say anything.',
            'writing_baseline.*' => 'Choose a baseline of this module, or none.',
            'writing_alarm.*' => 'The alarm is a share from 0.005 to 0.2, such as 0.05 for one honest text in twenty.',
            'writing_least_words.*' => 'Texts of 200 to 5,000 words can be asked for.',
            'self_checks.*' => 'A student can have 0 to 10 drafts checked.',
            'first_feedback.*' => 'A student can ask 0 to 5 times.',
            'declaration.*.label.max' => 'A sentence or question of the declaration has at most 400 characters.',
            'observe_minutes.*' => 'A slot has 5 to '.Observing::LONGEST.' minutes.',
            'observe_gap.*' => 'Between two slots lie 0 to 120 minutes.',
            'discuss_posts.*' => 'Ask for 0 to '.Discussion::MOST_PIECES.' posts.',
            'discuss_replies.*' => 'Ask for 0 to '.Discussion::MOST_PIECES.' replies.',
            'discuss_words.*' => 'Ask for 0 to '.number_format(Discussion::MOST_WORDS).' words.',
            'discuss_edit_minutes.*' => 'Posts can be changed for 0 to '.number_format(Discussion::MOST_MINUTES).' minutes, which is a week.',
            'max_files.*' => 'A hand-in can have 1 to 10 files.',
            'max_megabytes.*' => 'A file can have 1 to '.(int) config('harbor.upload.max_megabytes').' MB.',
        ];
    }

    /**
     * @return list<Closure(Validator): void>
     */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            if ($this->integer('first_feedback') > 0 && $this->filled('self_checks') && $this->integer('self_checks') === 0) {
                $validator->errors()->add('first_feedback', (string) __('first-feedback.needs_checks'));
            }
            $opens = LocalTime::parse($this->input('opens_at'));
            $due = LocalTime::parse($this->input('due_at'));
            $closes = LocalTime::parse($this->input('closes_at'));
            if ($opens !== null && $due !== null && $due->lte($opens)) {
                $validator->errors()->add('due_at', 'The due time must lie after the opening time.');
            }
            if ($closes !== null && $due !== null && $closes->lt($due)) {
                $validator->errors()->add('closes_at', 'Late work must be taken until the due time at least.');
            }
            if ($this->filled('rubric') && $this->versionId() === null) {
                $validator->errors()->add('rubric', 'Only a ready rubric can be used.');
            }
            $this->checkRule(
                $validator, self::LATE,
                fn () => $this->lateRule() === null ? null : LateRule::fromArray($this->lateRule()),
            );
            $this->checkRule(
                $validator, self::LENGTH,
                fn () => $this->lengthRule() === null ? null : LengthRule::fromArray($this->lengthRule()),
            );
        }];
    }

    /**
     * @return array<string, mixed> columns of an assignment
     */
    public function fields(): array
    {
        $fields = [
            'title' => $this->string('title')->trim()->toString(),
            // Forms send line breaks of their own kind.
            'brief' => str_replace("\r\n", "\n", (string) $this->input('brief')),
            'opens_at' => LocalTime::parse($this->input('opens_at')),
            'due_at' => LocalTime::parse($this->input('due_at')),
            'closes_at' => LocalTime::parse($this->input('closes_at')),
            'promised_on' => $this->input('promised_on'),
            'bands' => $this->input('bands') === 'kept'
                ? $this->keptBands()
                : GradeScale::documentsFor($this->module())[$this->input('bands')],
            'scheme' => $this->scheme(),
            'release' => Release::fromArray([
                'feedback_only' => $this->boolean('formative'),
                'signatures' => array_values(array_filter((array) $this->input('signatures', []), is_string(...))),
                'reflection' => [
                    'prompts' => $this->prompts(),
                    'words' => $this->integer('reflection_words'),
                    'days' => $this->filled('reflection_days') ? $this->integer('reflection_days') : 7,
                    'markers_read' => $this->input('reflection_read') !== 'coordinators',
                    'mark_after' => $this->filled('mark_after') ? (string) $this->input('mark_after') : null,
                ],
                'marks_shared' => $this->boolean('marks_shared'),
                'review_days' => $this->integer('review_days'),
                'answer_days' => $this->filled('answer_days') ? $this->integer('answer_days') : 15,
                'absent' => $this->filled('absent') ? (string) $this->input('absent') : null,
            ]),
            'screening' => $this->screening(),
            'writing_baseline_id' => $this->filled('writing_baseline')
                ? WritingBaseline::query()->where('module_id', $this->module()->id)
                    ->where('public_id', $this->input('writing_baseline'))->value('id')
                : null,
            'late_rule' => $this->lateRule(), 'length_rule' => $this->lengthRule(), 'cap' => $this->input('cap'),
            'max_megabytes' => $this->integer('max_megabytes') ?: (int) config('harbor.upload.max_megabytes'),
            'max_files' => $this->integer('max_files') ?: 1,
            'self_checks' => $this->filled('self_checks') ? $this->integer('self_checks') : 2,
            'first_feedback' => $this->filled('first_feedback') ? $this->integer('first_feedback') : 0,
            'handin_by' => HandInBy::tryFrom((string) $this->input('handin_by')) ?? HandInBy::Each,
            'handin_kinds' => $this->kinds(),
            'declaration' => $this->declaration(),
        ];
        if ($this->form() === WorkForm::Discussion) {
            // Nothing is handed in: what is written in the topics is what is marked.
            $fields = [
                ...$fields, 'discussion' => $this->discussion(), 'max_files' => 1, 'self_checks' => 0, 'first_feedback' => 0,
                'handin_by' => HandInBy::Each, 'handin_kinds' => null, 'declaration' => null,
            ];
        }
        if ($this->form() === WorkForm::Observed) {
            $fields = [
                ...$fields, 'observing' => Observing::fromArray([
                    'minutes' => $this->integer('observe_minutes'), 'gap' => $this->integer('observe_gap'),
                    'swaps' => $this->boolean('observe_swaps'), 'rules' => $this->string('observe_rules')->trim()->toString(),
                    'slides' => $this->boolean('observe_slides'),
                ]), 'max_files' => 1, 'self_checks' => 0, 'first_feedback' => 0, 'handin_kinds' => null, 'declaration' => null,
            ];
        }
        $this->route('assignment') instanceof Assignment || $fields['form'] = $this->form();
        // An assignment keeps the version it was given, even when its rubric has a newer one.
        $assignment = $this->route('assignment');
        $kept = $assignment instanceof Assignment
            && $assignment->rubricVersion?->rubric->public_id === $this->input('rubric');

        return $kept && $assignment->isPublished() ? $fields : $fields + ['rubric_version_id' => $this->versionId()];
    }

    /** What is marked: chosen when an assignment is made. */
    private function form(): WorkForm
    {
        $assignment = $this->route('assignment');

        return $assignment instanceof Assignment ? $assignment->form
            : WorkForm::tryFrom($this->string('form')->toString()) ?? WorkForm::Handin;
    }

    /**
     * @return array<string, mixed>
     */
    private function discussionRules(): array
    {
        $number = fn (int $most): array => ['required', 'integer', 'min:0', "max:{$most}"];

        return [
            'discuss_audience' => ['required', Rule::enum(Audience::class)],
            'discuss_posts' => $number(Discussion::MOST_PIECES), 'discuss_replies' => $number(Discussion::MOST_PIECES),
            'discuss_words' => $number(Discussion::MOST_WORDS), 'discuss_edit_minutes' => $number(Discussion::MOST_MINUTES),
            'discuss_names' => ['required', 'in:0,1'], 'discuss_own_first' => ['nullable', 'in:0,1'],
            'discuss_goes_on' => ['nullable', 'in:0,1'],
        ];
    }

    private function discussion(): Discussion
    {
        return Discussion::fromArray([
            'audience' => $this->input('discuss_audience'), 'posts' => $this->integer('discuss_posts'),
            'replies' => $this->integer('discuss_replies'), 'words' => $this->integer('discuss_words'),
            'own_first' => $this->boolean('discuss_own_first'), 'names' => $this->boolean('discuss_names'),
            'edit_minutes' => $this->integer('discuss_edit_minutes'), 'goes_on' => $this->boolean('discuss_goes_on'),
        ]);
    }

    /** A question a line, not more of them and none longer than can be kept. */
    private function promptsFit(string $field, mixed $value, Closure $fail): void
    {
        $prompts = $this->prompts();
        count($prompts) <= Reflection::MOST_PROMPTS
            || $fail('Up to '.Reflection::MOST_PROMPTS.' questions can be asked, a line for each; here are '.count($prompts).'.');
        foreach ($prompts as $prompt) {
            mb_strlen($prompt) <= Reflection::LONGEST
                || $fail('A question has '.Reflection::LONGEST.' characters at most; “'.mb_substr($prompt, 0, 30).'…” has more.');
        }
    }

    /**
     * @return list<string>
     */
    private function prompts(): array
    {
        $lines = preg_split('/\R/u', $this->string('reflection_prompts')->toString()) ?: [];

        return array_values(array_filter(array_map(trim(...), $lines), fn (string $line) => $line !== ''));
    }

    private function scheme(): Scheme
    {
        return Scheme::fromArray([
            'second' => $this->secondMarks()->value,
            'view' => $this->input('second_view'), 'rule' => $this->input('settle_rule'),
            'third_rule' => $this->input('third_rule'), 'tolerance' => $this->input('tolerance'),
            'pass_mark' => $this->input('pass_mark'), 'disagreement' => $this->input('disagreement'),
            'days' => $this->integer('settle_days'),
            'sample' => $this->sampleFields(),
        ]);
    }

    private function screening(): Screening
    {
        $text = fn (string $field): ?string => $this->filled($field) ? $this->string($field)->value() : null;

        return Screening::fromArray(array_filter([
            'seen' => $text('overlap_seen'), 'min_words' => $this->integer('overlap_min_words') ?: null,
            'look' => $text('overlap_look'), 'look_closely' => $text('overlap_look_closely'),
            'alarm' => $text('writing_alarm'), 'least_words' => $this->integer('writing_least_words') ?: null,
        ], fn (mixed $value) => $value !== null) + array_map($this->boolean(...), self::TICKED));
    }

    /**
     * @return list<string>|null null when everything that can be read is taken
     */
    private function kinds(): ?array
    {
        $all = [...array_column(FileKind::documents(), 'value'), Assignment::TYPED];
        $kinds = array_values(array_intersect([...$all, Assignment::LINK], (array) $this->input('kinds', [])));

        return match (true) {
            $kinds === [], $kinds === $all => null,
            default => $kinds,
        };
    }

    /**
     * @return array<string, mixed>|null
     */
    private function lateRule(): ?array
    {
        if (! $this->filled('late_take')) {
            return null;
        }

        return [
            'take' => $this->input('late_take'), 'amount' => (string) $this->input('late_amount'),
            'per' => $this->input('late_per', 'day'),
            'grace_minutes' => $this->whole('late_grace', 0), 'floor' => (string) ($this->input('late_floor') ?? '0'),
            'cut_off' => $this->whole('late_cut_off', 0),
            'weekends' => ! in_array($this->input('late_days'), ['weekends', 'both'], true),
            'closures' => ! in_array($this->input('late_days'), ['closures', 'both'], true),
        ];
    }

    /**
     * @return array<string, mixed>|null
     */
    private function lengthRule(): ?array
    {
        if (! $this->filled('word_limit')) {
            return null;
        }

        return [
            'limit' => $this->whole('word_limit', 0), 'amount' => (string) ($this->input('over_amount') ?? '0'),
            'step' => $this->whole('over_step', 10), 'grace' => $this->whole('over_grace', 10),
            ...array_fill_keys(
                array_filter(['quotations', 'bibliography'], fn (string $part) => $this->boolean("length_{$part}")),
                false,
            ),
        ];
    }

    /** A whole number as the core reads it; what is none goes on as it was written, and is refused there. */
    private function whole(string $field, int $default): mixed
    {
        return match (true) {
            ! $this->filled($field) => $default,
            ctype_digit((string) $this->input($field))
                && strlen((string) $this->input($field)) < 8 => $this->integer($field),
            default => $this->input($field),
        };
    }

    /**
     * What students declare; a row without words is left out.
     *
     * @return list<array{id: string, kind: string, label: string, required: bool}>|null
     */
    private function declaration(): ?array
    {
        $fields = [];
        $taken = [];
        foreach (array_values((array) $this->input('declaration', [])) as $n => $row) {
            $label = trim((string) ($row['label'] ?? ''));
            if ($label !== '') {
                $id = preg_match('/\A[a-z0-9]{1,20}\z/', (string) ($row['id'] ?? '')) === 1
                    && ! isset($taken[$row['id']])
                    ? (string) $row['id']
                    : 'f'.($n + 1).bin2hex(random_bytes(3));
                $taken[$id] = true;
                $fields[] = [
                    'id' => $id, 'kind' => (string) ($row['kind'] ?? 'words'), 'label' => $label,
                    'required' => ($row['required'] ?? '1') === '1',
                ];
            }
        }

        return $fields === [] ? null : Declaration::fromArray($fields)->fields;
    }

    /**
     * @param  array<string, string>  $names  the form's field for each field of the rule
     * @param  callable(): mixed  $make
     */
    private function checkRule(Validator $validator, array $names, callable $make): void
    {
        try {
            $make();
        } catch (InvalidInput $e) {
            array_map(
                fn (Fault $fault) => $validator->errors()->add(
                    $names[$fault->place] ?? 'title', ucfirst($fault->what).'.',
                ),
                $e->faults,
            );
        }
    }

    /**
     * The bands the assignment has, when they are on no list (any more).
     *
     * @return array<string, mixed>|null
     */
    private function keptBands(): ?array
    {
        $assignment = $this->route('assignment');

        return $assignment instanceof Assignment
            && ! in_array($assignment->bands, GradeScale::documentsFor($assignment->module), true)
            ? $assignment->bands
            : null;
    }

    private function module(): Module
    {
        $assignment = $this->route('assignment');
        $module = $assignment instanceof Assignment ? $assignment->module : $this->route('module');

        return $module instanceof Module ? $module : throw new LogicException('The form belongs to a module.');
    }

    private function versionId(): ?int
    {
        $assignment = $this->route('assignment');
        $used = $assignment instanceof Assignment ? $assignment->rubricVersion : null;
        $person = $this->user();
        $rubric = $person instanceof User
            ? RubricLibrary::usableIn($this->module(), $person)->where('public_id', (string) $this->input('rubric'))
                ->with('latestVersion')->first()
            : null;
        if ($rubric instanceof Rubric && $rubric->state === RubricState::Ready) {
            return $rubric->latestVersion?->id;
        }

        return $used instanceof RubricVersion && $used->rubric->public_id === $this->input('rubric') ? $used->id : null;
    }
}
