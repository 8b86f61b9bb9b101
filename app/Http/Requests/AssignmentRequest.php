<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Enums\RubricState;
use App\Models\Assignment;
use App\Models\Module;
use App\Models\Rubric;
use App\Support\Clock;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use InvalidArgumentException;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Moderation\SettleRule;

/**
 * The assignment form.
 */
final class AssignmentRequest extends FormRequest
{
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
                Clock::parse(is_string($value) ? $value : '-');
            } catch (InvalidArgumentException $e) {
                $fail('Write a day and time; '.$e->getMessage().'.');
            }
        }];
        $marks = ['required', 'string', function (string $field, mixed $value, Closure $fail): void {
            $number = Document::parse($value);
            if ($number === null || $number->isGreaterThan(100) || $number->stripTrailingZeros()->getScale() > 2) {
                $fail('Write a number from 0 to 100, such as 5 or 2.5.');
            }
        }];

        return [
            'title' => ['required', 'string', 'max:200'],
            'brief' => ['nullable', 'string', 'max:20000'],
            'rubric' => ['nullable', 'string'],
            'opens_at' => $time, 'due_at' => $time, 'closes_at' => $time,
            'promised_on' => ['nullable', 'date_format:Y-m-d'],
            'bands' => ['required', Rule::in(array_keys((array) config('harbor.bands')))],
            'pass_mark' => $marks, 'tolerance' => $marks,
            'second_marking' => ['required', 'in:0,1'],
            'settle_rule' => ['required', Rule::enum(SettleRule::class)],
            'markers_see_overlap' => ['required', 'in:0,1'],
            'lock_version' => ['nullable', 'integer'],
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
            $opens = Clock::parse($this->input('opens_at'));
            $due = Clock::parse($this->input('due_at'));
            $closes = Clock::parse($this->input('closes_at'));
            if ($opens !== null && $due !== null && $due->lte($opens)) {
                $validator->errors()->add('due_at', 'The due time must lie after the opening time.');
            }
            if ($closes !== null && $due !== null && $closes->lt($due)) {
                $validator->errors()->add('closes_at', 'Late work must be taken until the due time at least.');
            }
            if ($this->filled('rubric') && $this->versionId() === null) {
                $validator->errors()->add('rubric', 'Only a ready rubric of this module can be used.');
            }
        }];
    }

    /**
     * @return array<string, mixed> columns of an assignment
     */
    public function fields(): array
    {
        $fields = [
            'title' => $this->string('title')->trim()->toString(),
            'brief' => (string) $this->input('brief'),
            'opens_at' => Clock::parse($this->input('opens_at')),
            'due_at' => Clock::parse($this->input('due_at')),
            'closes_at' => Clock::parse($this->input('closes_at')),
            'promised_on' => $this->input('promised_on'),
            'bands' => config('harbor.bands')[$this->input('bands')],
            'pass_mark' => $this->input('pass_mark'),
            'tolerance' => $this->input('tolerance'),
            'second_marking' => $this->boolean('second_marking'),
            'settle_rule' => SettleRule::from((string) $this->input('settle_rule')),
            'markers_see_overlap' => $this->boolean('markers_see_overlap'),
        ];
        // An assignment keeps the version it was given, even when its rubric has a newer one.
        $assignment = $this->route('assignment');
        $kept = $assignment instanceof Assignment && $assignment->rubricVersion?->rubric->public_id === $this->input('rubric');

        return $kept && $assignment->isPublished() ? $fields : $fields + ['rubric_version_id' => $this->versionId()];
    }

    private function versionId(): ?int
    {
        $assignment = $this->route('assignment');
        $module = $assignment instanceof Assignment ? $assignment->module : $this->route('module');
        $rubric = $module instanceof Module
            ? Rubric::query()->where('module_id', $module->id)->where('public_id', (string) $this->input('rubric'))->first()
            : null;
        $usable = $rubric !== null && ($rubric->state === RubricState::Ready || ($assignment instanceof Assignment && $assignment->rubricVersion?->rubric_id === $rubric->id));

        return $usable ? $rubric->latestVersion?->id : null;
    }
}
