<?php

declare(strict_types=1);

namespace App\Http\Requests\Moderate;

use App\Http\Requests\GuardedRequest;
use App\Models\SamplePack;

/**
 * Signing a pack.
 */
final class SignPackRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['sign', $this->bound('pack', SamplePack::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['statement' => ['required', 'string', 'min:10', 'max:8000'], 'sure' => ['accepted']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'statement.*' => 'Write a statement of a sentence or more: the board of examiners reads it.',
            'sure.*' => 'Tick that you sign: nothing is added to the pack after that.',
        ];
    }
}
