<?php

declare(strict_types=1);

namespace App\Http\Requests\Release;

use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;

/**
 * The last word before markers see names.
 */
final class ConfirmResultsRequest extends GuardedRequest
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
        return ['sure' => ['required', 'accepted']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['sure.*' => 'Tick the box to say that you know this cannot be undone.'];
    }
}
