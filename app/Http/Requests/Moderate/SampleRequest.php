<?php

declare(strict_types=1);

namespace App\Http\Requests\Moderate;

use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;
use App\Queries\Moderate\SampleScope;
use Illuminate\Validation\Rule;

/**
 * From which scripts a sample is to be drawn, to look at or to draw.
 */
final class SampleRequest extends GuardedRequest
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
        $draws = $this->isMethod('post');

        return [
            'scope' => ['nullable', Rule::enum(SampleScope::class)],
            'markers' => ['nullable', 'array', 'max:500'], 'markers.*' => ['string', 'max:40'],
            'drawn' => ['nullable', 'integer', 'min:0', 'max:5000', $draws ? Rule::requiredIf($this->wantsMore()) : 'nullable'],
            'reason' => [$draws && $this->wantsMore() ? 'required' : 'nullable', 'string', 'min:10', 'max:1000'],
            'digest' => [$draws ? 'required' : 'nullable', 'string', 'size:64'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'drawn.required' => 'Say how many more are to be drawn.',
            'drawn.*' => 'The number to draw is a whole number from 0 to 5000.',
            'reason.required' => 'Say why more are drawn: the examiner reads it.',
            'reason.min' => 'Say in a sentence why more are drawn: the examiner reads it.',
            'digest.*' => 'Look at the preview first, and draw from there.',
        ];
    }

    public function scope(): SampleScope
    {
        return SampleScope::tryFrom((string) $this->input('scope')) ?? SampleScope::New;
    }

    public function wantsMore(): bool
    {
        return $this->scope() === SampleScope::More;
    }

    public function drawn(): ?int
    {
        return $this->wantsMore() ? $this->integer('drawn') : null;
    }

    /**
     * @return list<string>|null null when none were named
     */
    public function markers(): ?array
    {
        $markers = $this->input('markers');

        return is_array($markers) ? array_values(array_filter($markers, is_string(...))) : null;
    }
}
