<?php

declare(strict_types=1);

namespace App\Http\Requests\Release;

use App\Http\Requests\GuardedRequest;
use App\Models\Result;

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
        return ['reflection' => ['required', 'string', 'max:20000']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'reflection.max' => 'It has 20,000 characters at most. Nothing was kept on the server; what you wrote stands in the field.',
            'reflection.*' => 'Write something first.',
        ];
    }
}
