<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Module;

/**
 * A module copied for another year.
 */
final class CopyModuleRequest extends GuardedRequest
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
        return [
            'code' => ['required', 'string', 'max:30'], 'title' => ['required', 'string', 'max:150'],
            'weeks' => ['required', 'integer', 'min:1', 'max:260'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'code.*' => 'Write the code of the new module, 30 characters at most. Nothing was copied.',
            'title.*' => 'Write its title, 150 characters at most. Nothing was copied.',
            'weeks.*' => 'Write a whole number of weeks from 1 to 260. Nothing was copied.',
        ];
    }
}
