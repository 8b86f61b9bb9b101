<?php

declare(strict_types=1);

namespace App\Http\Requests\Release;

use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;
use App\Release\ReleasePlan;
use App\Wording\LocalTime;
use Illuminate\Validation\Validator;
use InvalidArgumentException;
use YoungHarbor\Core\Release\Scope;

/**
 * Which results go out, when, as what, and with which words to their students.
 */
final class ReleaseResultsRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('assignment', Assignment::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'which' => ['required', 'in:all,some,section'],
            'scripts' => ['array', 'required_if:which,some'],
            'scripts.*' => ['string', 'max:20'],
            'sections' => ['array', 'required_if:which,section'],
            'sections.*' => ['string', 'max:40'],
            'expected' => ['nullable', 'integer'],
            'when' => ['nullable', 'in:now,later'],
            'at' => ['nullable', 'required_if:when,later', 'string', 'max:20'],
            'provisional' => ['nullable', 'in:0,1'],
            'marks' => ['nullable', 'in:with,without'],
            'subject' => ['nullable', 'string', 'max:200', 'not_regex:/[\r\n]/'],
            'body' => ['nullable', 'string', 'max:10000'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'scripts.required_if' => 'Choose the scripts to release in the list, or release all that are ready.',
            'sections.required_if' => 'Choose at least one section. Nothing was released.',
            'at.required_if' => 'Say when the results are to go out. Nothing was set.',
            'subject.*' => 'The subject is one line of at most 200 characters. Nothing was released.',
        ];
    }

    protected function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            if ($this->input('which') !== 'some' && (array) $this->input('scripts', []) !== []) {
                $validator->errors()->add('scripts', (string) __('release.ticked_too'));
            }
            try {
                $this->input('when') === 'later' && LocalTime::parse($this->string('at')->toString());
            } catch (InvalidArgumentException $e) {
                $validator->errors()->add('at', "Not set: {$e->getMessage()}. Choose another one.");
            }
        });
    }

    public function plan(): ReleasePlan
    {
        return new ReleasePlan(
            match ($this->input('which')) {
                'some' => Scope::codes(array_values((array) $this->validated('scripts'))),
                'section' => Scope::sections(array_values((array) $this->validated('sections'))),
                default => Scope::all(),
            },
            $this->input('when') === 'later' ? LocalTime::parse($this->string('at')->toString()) : null,
            $this->boolean('provisional'), $this->input('marks') !== 'without',
            $this->string('subject')->toString(), $this->string('body')->toString(),
            $this->filled('expected') ? $this->integer('expected') : null,
        );
    }
}
