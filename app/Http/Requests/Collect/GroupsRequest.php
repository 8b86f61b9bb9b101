<?php

declare(strict_types=1);

namespace App\Http\Requests\Collect;

use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;

/**
 * The groups of an assignment, one to a line.
 */
final class GroupsRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('assignment', Assignment::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['lines' => ['required', 'string', 'max:200000']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['lines.required' => 'Write a line for each student: e-mail address or number, comma, group.'];
    }
}
