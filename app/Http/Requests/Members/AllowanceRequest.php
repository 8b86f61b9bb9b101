<?php

declare(strict_types=1);

namespace App\Http\Requests\Members;

use App\Http\Requests\GuardedRequest;
use App\Models\Membership;

/**
 * More time that a student always has.
 */
final class AllowanceRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('member', Membership::class)->module];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'extra_days' => ['required', 'integer', 'between:0,60'],
            'extra_percent' => ['required', 'integer', 'between:0,200'],
            'reason' => ['nullable', 'string', 'max:500'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'extra_days.*' => 'Extra days are a whole number from 0 to 60.',
            'extra_percent.*' => 'Extra time is a whole number from 0 to 200 percent.',
        ];
    }
}
