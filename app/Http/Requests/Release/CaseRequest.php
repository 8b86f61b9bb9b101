<?php

declare(strict_types=1);

namespace App\Http\Requests\Release;

use App\Enums\CaseKind;
use App\Http\Requests\GuardedRequest;
use App\Models\Script;
use Illuminate\Validation\Rule;

/**
 * Something to decide for one student alone.
 */
final class CaseRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('script', Script::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::enum(CaseKind::class)],
            'marks' => ['nullable', 'required_if:kind,adjusted', 'string', 'max:10'],
            'reason' => ['required', 'string', 'min:5', 'max:1000'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'kind.*' => 'Choose what is decided.',
            'marks.*' => 'Say how many marks are added, or with a minus taken off. Nothing was changed.',
            'reason.*' => 'Say why: whoever asks later finds it here, and nobody but coordinators reads it.',
        ];
    }

    public function kind(): CaseKind
    {
        return CaseKind::from($this->string('kind')->toString());
    }
}
