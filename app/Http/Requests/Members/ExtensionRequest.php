<?php

declare(strict_types=1);

namespace App\Http\Requests\Members;

use App\Http\Requests\GuardedRequest;
use App\Models\Script;

/**
 * More time for one assignment.
 */
final class ExtensionRequest extends GuardedRequest
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
        return ['extension' => ['required', 'string'], 'extension_reason' => ['required', 'string', 'max:500']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'extension.required' => 'Write the day and time until which the work may come in.',
            'extension_reason.required' => 'Say why: whoever asks later finds it here.',
        ];
    }
}
