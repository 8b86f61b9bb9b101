<?php

declare(strict_types=1);

namespace App\Http\Requests\Release;

use App\Http\Requests\GuardedRequest;
use App\Models\Result;

/**
 * Whether a comment, or the feedback as a whole, was useful.
 */
final class RateRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['read', $this->bound('result', Result::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['about' => ['required', 'string', 'max:60'], 'useful' => ['required', 'in:0,1']];
    }
}
