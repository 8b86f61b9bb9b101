<?php

declare(strict_types=1);

namespace App\Http\Requests\ShareOut;

use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;

/**
 * What was agreed to look for, level by level.
 */
final class LevelNotesRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['viewMarking', $this->bound('assignment', Assignment::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'note' => ['nullable', 'array'], 'note.*' => ['nullable', 'string', 'max:5000'],
            'seen' => ['nullable', 'array'], 'seen.*' => ['nullable', 'string'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['note.*.max' => 'A note has 5,000 characters at most. Nothing was saved; shorten it.'];
    }
}
