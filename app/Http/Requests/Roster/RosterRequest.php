<?php

declare(strict_types=1);

namespace App\Http\Requests\Roster;

use App\Http\Requests\GuardedRequest;
use App\Models\Module;

/**
 * A file with the people of a module.
 */
final class RosterRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['addPeople', $this->bound('module', Module::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'roster' => ['required', 'file', 'max:'.(int) config('harbor.upload.max_megabytes') * 1024],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'roster.required' => 'Choose a CSV file, or a ZIP with OneRoster files.',
            'roster.max' => 'The file is larger than '.(int) config('harbor.upload.max_megabytes').' MB.',
            'roster.uploaded' => 'The file did not arrive whole. Choose it again.',
        ];
    }
}
