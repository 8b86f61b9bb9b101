<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;

/**
 * The module an assignment is copied to.
 */
final class CopyAssignmentRequest extends GuardedRequest
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
        return ['module' => ['required', 'string']];
    }
}
