<?php

declare(strict_types=1);

namespace App\Http\Requests\Screen;

use App\Http\Requests\GuardedRequest;
use App\Models\Module;

/**
 * A new baseline.
 */
final class BaselineRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('module', Module::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['name' => ['required', 'string', 'max:150'], 'language' => ['required', 'string', 'max:60']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'name.required' => 'Give the baseline a name.',
            'language.required' => 'Say which language its texts are in.',
        ];
    }
}
