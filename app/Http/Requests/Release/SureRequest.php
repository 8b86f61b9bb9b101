<?php

declare(strict_types=1);

namespace App\Http\Requests\Release;

use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;

/**
 * A step for a whole assignment, with a box to tick so that it is not taken by a slip.
 */
class SureRequest extends GuardedRequest
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
        return ['sure.*' => 'Tick the box first: it is there so that this is not done by a slip. Nothing was changed.'];
    }
}
