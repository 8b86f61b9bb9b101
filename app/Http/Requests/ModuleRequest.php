<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Module;

/**
 * A new module.
 */
final class ModuleRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['create', Module::class];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'code' => ['required', 'string', 'max:30'],
            'title' => ['required', 'string', 'max:150'],
            'coordinator_name' => ['required', 'string', 'max:150'],
            'coordinator_email' => ['required', 'email', 'max:190'],
            'same' => ['nullable', 'in:1'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'code.required' => 'Give the module a code.', 'title.required' => 'Give it a title.',
            'coordinator_name.required' => 'Say who coordinates it.',
            'coordinator_email.*' => 'Write the coordinator’s e-mail address.',
        ];
    }
}
