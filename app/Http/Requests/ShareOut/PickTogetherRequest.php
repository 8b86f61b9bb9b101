<?php

declare(strict_types=1);

namespace App\Http\Requests\ShareOut;

use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;

/**
 * The scripts that all markers mark together.
 */
final class PickTogetherRequest extends GuardedRequest
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
        return ['scripts' => ['nullable', 'array'], 'scripts.*' => ['string', 'max:20']];
    }
}
