<?php

declare(strict_types=1);

namespace App\Http\Requests\Members;

use App\Http\Requests\GuardedRequest;
use App\Models\Script;

/**
 * Why someone takes the original of a hand-in.
 */
final class OriginalRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('script', Script::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'original_reason' => ['required', 'string', 'max:500'],
            'number' => ['nullable', 'integer', 'between:1,50'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['original_reason.required' => 'Say why you open the original: it is logged.'];
    }
}
