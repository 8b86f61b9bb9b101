<?php

declare(strict_types=1);

namespace App\Http\Requests\Moderate;

use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;

/**
 * Who of the team moderates an assignment.
 */
final class ModeratorsRequest extends GuardedRequest
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
        return ['moderators' => ['nullable', 'array', 'max:50'], 'moderators.*' => ['string', 'max:40']];
    }
}
