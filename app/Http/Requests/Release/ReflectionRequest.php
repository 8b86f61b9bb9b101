<?php

declare(strict_types=1);

namespace App\Http\Requests\Release;

use App\Http\Requests\GuardedRequest;
use App\Models\Result;
use YoungHarbor\Core\Release\Reflection;

/**
 * What a student writes about their feedback.
 */
final class ReflectionRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['read', $this->bound('result', Result::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'reflection' => ['required', 'array', 'list', 'max:'.Reflection::MOST_PROMPTS],
            'reflection.*' => ['nullable', 'string', 'max:20000'],
        ];
    }

    /**
     * @return list<string>
     */
    public function texts(): array
    {
        return array_values(array_map(strval(...), $this->array('reflection')));
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'reflection.*.max' => 'It has 20,000 characters at most. Nothing was kept on the server; what you wrote stands in the field.',
            'reflection' => 'Write something first.',
        ];
    }
}
