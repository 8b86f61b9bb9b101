<?php

declare(strict_types=1);

namespace App\Http\Requests\Collect;

use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;

/**
 * What a student has typed so far.
 */
final class TypedTextRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['sendWork', $this->bound('assignment', Assignment::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['typed_text' => ['nullable', 'string', 'max:400000'], 'seen' => ['required', 'integer']];
    }
}
