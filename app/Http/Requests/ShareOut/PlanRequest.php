<?php

declare(strict_types=1);

namespace App\Http\Requests\ShareOut;

use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;

/**
 * How scripts are to be shared out.
 */
final class PlanRequest extends GuardedRequest
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
        return [
            'seed' => ['required', 'integer', 'min:0', 'max:2147483647'],
            'markers' => ['required', 'array', 'min:1', 'max:500'], 'markers.*' => ['string'],
            'share' => ['nullable', 'array'], 'sections' => ['nullable', 'array'],
            'keep_groups' => ['nullable', 'in:0,1'], 'even_out' => ['nullable', 'in:0,1'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['markers.required' => 'Choose at least one marker.', 'seed.*' => 'The seed is a whole number.'];
    }
}
