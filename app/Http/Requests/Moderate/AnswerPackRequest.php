<?php

declare(strict_types=1);

namespace App\Http\Requests\Moderate;

use App\Http\Requests\GuardedRequest;
use App\Models\SamplePack;

/**
 * The answer of the team to what a reader asked for.
 */
final class AnswerPackRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('pack', SamplePack::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['request' => ['required', 'integer'], 'body' => ['required', 'string', 'min:3', 'max:8000']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['body.*' => 'Write the answer: the reader and the logbook show it.'];
    }
}
